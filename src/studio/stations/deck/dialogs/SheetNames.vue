<script setup lang="ts">
import { ElButton } from 'element-plus'
import { LENGTHS } from '../../../../core/settings/bounds.ts'
import TextField from '../../../parts/settings/TextField.vue'
import type { SheetTile } from './useSheet.ts'

/** The tiles taken from a sheet, each with its name. */
defineProps<{ tiles: readonly SheetTile[]; image: { canvas: HTMLCanvasElement; url: string } }>()
defineEmits<{ rename: [key: string, name: string]; leave: [key: string] }>()
const current = defineModel<string>('looked', { required: true })
</script>

<template>
  <ul class="names" aria-label="Names of the tiles">
    <li v-for="tile in tiles" :key="tile.key" :class="{ looked: current === tile.key }">
      <svg class="mini" :viewBox="`${tile.x} ${tile.y} ${tile.width} ${tile.height}`" aria-hidden="true">
        <image :href="image.url" :width="image.canvas.width" :height="image.canvas.height" />
      </svg>
      <TextField
        :model-value="tile.name"
        :label="`Name of the tile in row ${tile.row + 1}, column ${tile.column + 1}`"
        :maxlength="LENGTHS.name"
        @change="$emit('rename', tile.key, $event)"
        @focus="current = tile.key"
      />
      <ElButton
        class="icon"
        :aria-label="`Leave ${tile.name} out`"
        data-tip="Leave it out"
        @click="$emit('leave', tile.key)"
      >
        ×
      </ElButton>
    </li>
  </ul>
</template>

<style scoped>
.names {
  display: grid;
  align-content: start;
  gap: 4px;
  min-height: 80px;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
.names li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-radius: var(--round);
}
.names li.looked {
  background: var(--lagoon-pale);
}
.mini {
  flex: none;
  width: 30px;
  height: 30px;
}
.names .text-field {
  --el-input-height: 28px;
  --el-input-bg-color: transparent;
  --el-input-border-color: transparent;
  flex: 1;
}
.icon {
  width: 28px;
  height: 28px;
  border: 0;
  background: none;
  color: var(--ink-soft);
  font-size: 18px;
  cursor: pointer;
}
</style>
