<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Pair } from '../../core/game/game.ts'
import { pairPicture } from './pair-picture.ts'
import { tileName } from './tile-name.ts'

/**
 * A pair as two cards that lean on each other; an identical one shows its twin as a turned-away shadow. Hundreds lie on the table, so a
 * tile is one element with a background and a bare text: each element, clip or layer more is painted anew as the table scrolls.
 */
const props = defineProps<{ pair: Pair; chosen: boolean; alike: boolean; reached: boolean }>()
defineEmits<{ choose: [event: MouseEvent | KeyboardEvent] }>()
const picture = ref<string>()
watch(
  () => [props.pair.a, props.pair.b],
  async () => {
    const { pair } = props
    const drawn = await pairPicture(pair)
    // a new name in the meantime is no new picture
    if (pair.a === props.pair.a && pair.b === props.pair.b) picture.value = drawn
  },
  { immediate: true },
)
const name = computed(() => tileName(props.pair.name))
const cut = computed(() => (name.value === props.pair.name ? undefined : props.pair.name))
</script>

<template>
  <div
    class="tile"
    :class="{ chosen, alike }"
    role="option"
    :data-pair="pair.id"
    :style="{ backgroundImage: picture && `url(${picture})` }"
    :title="cut"
    :aria-label="cut"
    :aria-selected="chosen"
    :tabindex="reached ? 0 : -1"
    @click="$emit('choose', $event)"
    @keydown.enter.prevent="$emit('choose', $event)"
    @keydown.space.prevent="$emit('choose', $event)"
  >
    {{ name }} <span v-if="alike" class="badge">alike</span>
  </div>
</template>

<style scoped>
.tile {
  padding: 102px 10px 0;
  border: 2px solid transparent;
  border-radius: var(--round-card);
  background: no-repeat 50% 6px / 140px 92px;
  font: 600 14px/1.3 var(--body);
  text-align: center;
  white-space: nowrap;
  cursor: pointer;
}
.tile:hover {
  background-color: #ffffffb0;
}
.tile.chosen {
  border-color: var(--lagoon);
  background-color: var(--lagoon-pale);
}
.tile:focus-visible {
  outline-offset: -2px;
}
.tile.alike {
  position: relative;
}
.badge {
  position: absolute;
  top: 2px;
  right: 4px;
  padding: 0 7px;
  border-radius: 8px;
  background: var(--apricot-pale);
  color: #7c3214;
  font-size: 12px;
  line-height: 1.6;
}
</style>
