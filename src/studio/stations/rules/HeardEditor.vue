<script setup lang="ts">
import { computed } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import { MOMENTS } from '../../../core/settings/settings.ts'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import IdleOwn from '../../parts/settings/IdleOwn.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { useBench } from '../../store/bench.ts'
import HeardRow from './HeardRow.vue'

/** "Sounds are on; they are of brass, at 100 % volume", and the sound of each moment. */
const bench = useBench()
const on = computed(() => bench.settings!.sound.on)
</script>

<template>
  <div class="heard">
    <p>
      Sounds <SettingChoice section="sound" name="on" /><template v-if="on"
        >; they are of <SettingChoice section="sound" name="family" />, at
        <SettingNumber section="sound" name="volume" /> volume</template
      >.
      <template v-if="!on">
        <IdleOwn section="sound" :names="['family', 'volume', ...MOMENTS]" />
        <IdleOwn section="volumes" :names="MOMENTS" />
      </template>
    </p>
    <ul v-if="on" aria-label="What is heard">
      <InTurn v-for="moment in MOMENTS" :key="moment"><HeardRow :moment="moment" /></InTurn>
    </ul>
  </div>
</template>

<style scoped>
.heard {
  max-width: 760px;
  padding-left: 36px;
  font-size: 17px;
  line-height: 1.85;
}
ul {
  display: grid;
  gap: 4px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
</style>
