<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import IconDown from '~icons/ph/caret-down'
import IconRemove from '~icons/ph/trash'
import IconRename from '~icons/ph/pencil-simple'
import IconUp from '~icons/ph/caret-up'
import IconWarn from '~icons/ph/warning-circle'
import { computed, nextTick, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { countWords } from '../../../core/count-words.ts'
import { openCells } from '../../../core/board/cells.ts'
import { type Level, resolveLevel } from '../../../core/settings/levels.ts'
import { findingWords } from '../../../core/findings/words.ts'
import { LENGTHS } from '../../../core/settings/bounds.ts'
import { english } from '../../../core/texts/english.ts'
import BoardMini from '../../parts/cards/BoardMini.vue'
import { useFindings } from '../../parts/findings/store.ts'
import type { Station } from '../stations.ts'
import { useBench } from '../../store/bench.ts'

const props = defineProps<{ level: Level; index: number; station: Station; last: boolean }>()
const emit = defineEmits<{ duplicate: []; remove: []; move: [by: number] }>()
const bench = useBench()
const checks = useFindings()
const route = useRoute()
const naming = ref(false)
/** the name while it is being typed; new findings leave it alone */
const draft = ref('')
const field = ref<InstanceType<typeof ElInput>>()

const open = computed(() => bench.rung === props.level.id)
const settings = computed(() => resolveLevel(bench.game!, props.level))
const findings = computed(() => checks.ofRung(props.index))
const facts = computed(() => {
  const { board, clock, limits } = settings.value
  const cards = openCells(board).length
  return [
    cards % 2 ? countWords(cards, 'card') : countWords(cards / 2, 'pair'),
    clock.mode === 'down' ? english.clock(clock.limit, true) : '',
    limits.lives === null ? '' : countWords(limits.lives, 'life', 'lives'),
    limits.turns === null ? '' : countWords(limits.turns, 'turn'),
  ]
    .filter(Boolean)
    .join(' · ')
})
const to = computed(() => ({
  name: 'bench',
  params: { id: String(route.params.id), station: props.station, level: props.level.id },
}))

async function startNaming(): Promise<void> {
  draft.value = props.level.name
  naming.value = true
  await nextTick()
  field.value?.select()
}
function rename(): void {
  const name = draft.value.trim().slice(0, LENGTHS.name)
  naming.value = false
  if (name && name !== props.level.name) bench.replaceLevel({ ...props.level, name }, 'rename a level')
}
</script>

<template>
  <li
    class="rung"
    :class="{ open }"
    @keydown.alt.up.prevent="emit('move', -1)"
    @keydown.alt.down.prevent="emit('move', 1)"
  >
    <RouterLink
      class="face"
      :to="to"
      :aria-current="open || undefined"
      draggable="false"
      @dblclick="startNaming"
    >
      <BoardMini :board="settings.board" />
      <strong v-if="!naming">{{ level.name }}</strong>
      <span class="soft">{{ facts }}</span>
      <span v-if="findings.length" class="warn" :data-tip="findingWords(findings[0]!)"
        ><IconWarn aria-hidden="true" />{{ findings.length
        }}<span class="hidden-text"> {{ findings.length === 1 ? 'problem' : 'problems' }}</span></span
      >
    </RouterLink>
    <ElInput
      v-if="naming"
      ref="field"
      v-model="draft"
      class="naming"
      aria-label="Name of the level"
      :maxlength="LENGTHS.name"
      @blur="rename"
      @keydown.enter="rename"
      @keydown.esc="naming = false"
    />
    <div v-if="open" class="tools">
      <ElButton class="icon-btn" aria-label="Rename this level" data-tip="Rename" @click="startNaming">
        <IconRename />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Duplicate this level"
        data-tip="Duplicate"
        @click="emit('duplicate')"
      >
        <IconCopy />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Move this level up"
        data-tip="Up (Alt+↑)"
        @click="emit('move', -1)"
      >
        <IconUp />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Move this level down"
        data-tip="Down (Alt+↓)"
        @click="emit('move', 1)"
      >
        <IconDown />
      </ElButton>
      <ElButton
        class="icon-btn"
        aria-label="Remove this level"
        :data-tip="last ? 'A game has at least one level' : 'Remove'"
        :disabled="last"
        @click="emit('remove')"
      >
        <IconRemove />
      </ElButton>
    </div>
  </li>
</template>

<style scoped>
.rung {
  position: relative;
  border: 1px solid transparent;
  border-radius: var(--round-card);
}
/* of a hundred levels only the visible ones are laid out */
.rung:not(.open) {
  content-visibility: auto;
  contain-intrinsic-height: auto 130px;
}
.rung.open {
  border-color: var(--line);
  background: var(--card);
  box-shadow: var(--shadow);
}
.rung.open::before {
  content: '';
  position: absolute;
  inset: 12px auto 12px -14px;
  width: 5px;
  border-radius: 0 4px 4px 0;
  background: var(--apricot);
}
.face {
  display: grid;
  gap: 2px;
  padding: 10px 12px 8px;
  border-radius: inherit;
  color: inherit;
  text-decoration: none;
}
.rung:not(.open) .face:hover {
  background: var(--sand);
}
.face :deep(.mini) {
  margin-bottom: 4px;
  color: #cdc0a8;
}
.open .face :deep(.mini) {
  color: var(--apricot);
}
.face .soft {
  font-size: 13px;
}
strong {
  overflow-wrap: anywhere;
}
.warn {
  position: absolute;
  top: 10px;
  right: 10px;
  display: flex;
  align-items: center;
  gap: 3px;
  color: var(--brick);
  font-size: 13px;
  font-weight: 700;
}
.naming {
  width: calc(100% - 24px);
  margin: 0 12px 6px;
  font-weight: 600;
}
.tools {
  display: flex;
  justify-content: space-between;
  padding: 0 6px 6px;
}
.tools .icon-btn {
  width: 30px;
  height: 30px;
}
.tools .icon-btn :deep(svg) {
  width: 17px;
  height: 17px;
}
</style>
