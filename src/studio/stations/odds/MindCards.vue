<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconEdit from '~icons/ph/pencil-simple'
import IconPlus from '~icons/ph/plus'
import { computed } from 'vue'
import { leftAfter } from '../../../core/odds/left-after.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { memoryWords } from './odds-words.ts'
import type { ShownMind } from './useMinds.ts'

/**
 * The minds as cards, each with how much it has left of a card after 1, 2, 3 … turns; a press switches it on and off.
 */
const props = defineProps<{ minds: readonly ShownMind[]; full: boolean }>()
const emit = defineEmits<{ toggle: [id: string]; edit: [mind: Mind]; add: []; fit: [] }>()
const TURNS = 10
const drawings = computed(() =>
  props.minds.map((one) => ({
    ...one,
    left: leftAfter(one.mind, TURNS),
    words: memoryWords(one.mind.memory),
  })),
)
/** A dot as large as what is left, but always visible. */
const size = (share: number): string => `${2 + Math.sqrt(share) * 6}px`
</script>

<template>
  <ul class="minds" aria-label="Minds">
    <li v-for="{ mind, colour, on, left, words } in drawings" :key="mind.id" :class="{ on }">
      <ElButton class="mind" :aria-pressed="on" @click="emit('toggle', mind.id)">
        <b>{{ mind.name }}</b>
        <span class="left keeps-colours" aria-hidden="true">
          <i
            v-for="(share, turn) in left"
            :key="turn"
            :style="{ width: size(share), height: size(share), background: colour }"
          />
        </span>
        <span class="words">{{ words }}</span>
      </ElButton>
      <ElButton
        class="icon-btn edit"
        :aria-label="`${mind.name}: view or edit`"
        data-tip="View or edit"
        @click="emit('edit', mind)"
      >
        <IconEdit />
      </ElButton>
    </li>
    <li class="add">
      <ElButton :disabled="full" @click="emit('add')"><IconPlus />Mind</ElButton>
      <ElButton data-tip="From games that people played" @click="emit('fit')">Fit one…</ElButton>
    </li>
  </ul>
</template>

<style scoped>
.minds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(122px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  position: relative;
  display: grid;
}
.mind {
  display: grid;
  justify-content: stretch;
  align-content: start;
  min-height: 92px;
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: var(--card);
  color: var(--ink-soft);
  text-align: left;
  white-space: normal;
}
.on .mind {
  border: 2px solid var(--lagoon);
  padding: 7px 9px;
  color: var(--ink);
}
.mind :deep(> span) {
  display: grid;
  gap: 4px;
  justify-items: start;
  width: 100%;
  min-width: 0;
}
li:not(.on) .left {
  opacity: 0.35;
}
.left {
  display: flex;
  align-items: center;
  gap: 2px;
  height: 12px;
}
.left i {
  flex: none;
  border-radius: 50%;
}
.words {
  font-size: 13px;
  line-height: 1.3;
}
.mind b {
  padding-right: 18px;
}
.edit {
  position: absolute;
  top: 1px;
  right: 0;
  width: 30px;
}
.add {
  gap: 6px;
}
.add .el-button {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  border: 1px dashed var(--el-border-color-hover);
  border-radius: var(--round-card);
}
@media (max-width: 1100px) {
  .minds {
    grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
  }
  .mind {
    min-height: 56px;
  }
  .words {
    display: none;
  }
}
</style>
