<script setup lang="ts">
import { ElRadio, ElRadioGroup } from 'element-plus'
import { DESTINATIONS, type Destination } from './destinations.ts'

/** Where the game is going, one choice of all; `sizes` tells how large each file is, once it is known. */
defineProps<{ sizes: Partial<Record<Destination, string>> }>()
const destination = defineModel<Destination>({ required: true })
</script>

<template>
  <section class="where" aria-labelledby="where">
    <h2 id="where">Where is it going?</h2>
    <ElRadioGroup v-model="destination" aria-labelledby="where">
      <template v-for="{ group, all } in DESTINATIONS" :key="group">
        <p class="soft">{{ group }}</p>
        <ElRadio
          v-for="{ id, name, line, icon } in all"
          :key="id"
          :value="id"
          :class="{ chosen: destination === id }"
        >
          <component :is="icon" aria-hidden="true" />
          <span class="name">{{ name }}</span>
          <span class="size">{{ sizes[id] }}</span>
          <span class="line">{{ line }}</span>
        </ElRadio>
      </template>
    </ElRadioGroup>
  </section>
</template>

<style scoped>
.where {
  overflow-y: auto;
  padding: 18px;
  border-right: 1px solid var(--line);
  background: var(--card);
}
h2 {
  font-size: 22px;
}
.el-radio-group {
  display: grid;
  gap: 6px;
  width: 100%;
  margin-top: 2px;
}
p {
  margin-top: 6px;
}
.el-radio {
  height: auto;
  margin: 0;
  padding: 7px 12px;
  border: 1px solid var(--line);
  border-radius: var(--round-card);
  background: var(--card);
  white-space: normal;
}
.el-radio:hover {
  border-color: #b9ad95;
}
.el-radio.chosen {
  border-color: var(--lagoon);
  background: var(--lagoon-pale);
  box-shadow: inset 0 0 0 1px var(--lagoon);
}
.el-radio :deep(.el-radio__input) {
  position: absolute;
  opacity: 0;
}
.el-radio:focus-within {
  outline: 2px solid var(--lagoon);
  outline-offset: 2px;
}
.el-radio :deep(.el-radio__label) {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 10px;
  width: 100%;
  padding: 0;
  color: var(--ink);
}
svg {
  grid-row: span 2;
  width: 24px;
  height: 24px;
  color: var(--lagoon);
}
.name {
  font-weight: 600;
}
.size,
.line {
  color: var(--ink-soft);
  font-size: 13.5px;
  font-weight: 400;
}
.line {
  grid-column: 2 / -1;
}
@media (max-width: 1100px) {
  .where {
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  .el-radio-group {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  p {
    grid-column: 1 / -1;
  }
}
@media (max-width: 480px) {
  .el-radio-group {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
