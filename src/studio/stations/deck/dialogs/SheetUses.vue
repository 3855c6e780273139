<script setup lang="ts">
import { ElButton } from 'element-plus'
import { writeSettings } from '../../../../core/settings/levels.ts'
import { BEHIND_SIDE } from '../../../parts/cards/image-files.ts'
import { useDone } from '../../../parts/toast/useDone.ts'
import { useBench } from '../../../store/bench.ts'
import { trust } from '../../../store/sound-images.ts'
import type { SheetTile } from './useSheet.ts'

/**
 * What else a tile of a sheet can become besides a face: the back of all cards, or the picture behind them. `source`
 * makes an image of it.
 */
const props = defineProps<{ tile: SheetTile; source: (tile: SheetTile, longest?: number) => string }>()
const bench = useBench()
const tell = useDone()

function asBack(): void {
  const image = props.source(props.tile)
  trust(image)
  bench.edit('change the back', (game) => void Object.assign(game.deck.back, { image }))
  tell(`"${props.tile.name}" is the back of all cards`)
}
function asBehind(): void {
  const { name } = props.tile
  const src = props.source(props.tile, BEHIND_SIDE)
  trust(src)
  const behind = { kind: 'image', src, alt: name } as const
  bench.replace(writeSettings(bench.game!, null, 'look', { behind }), 'the picture behind the cards')
  tell(`"${name}" is behind the cards now, by the house rules`)
}
</script>

<template>
  <div class="uses">
    <span class="name">{{ tile.name }}</span>
    <ElButton class="btn small" @click="asBack">Use as the back</ElButton>
    <ElButton class="btn small" @click="asBehind">Use behind the cards</ElButton>
  </div>
</template>

<style scoped>
.uses {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.name {
  flex: 1;
  overflow: hidden;
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.small {
  min-height: 30px;
  height: 30px;
  margin: 0;
  padding: 0 10px;
  font-size: 14px;
}
</style>
