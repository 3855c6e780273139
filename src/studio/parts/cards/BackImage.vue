<script setup lang="ts">
import { ElButton, ElColorPicker, ElSlider } from 'element-plus'
import { computed } from 'vue'
import type { Back } from '../../../core/settings/back.ts'
import { BOUNDS } from '../../../core/settings/bounds.ts'

/** An own image over the whole back, and the colour that it is tinted with. */
type BackTint = NonNullable<Back['tint']>
const props = defineProps<{ back: Back }>()
const emit = defineEmits<{ choose: []; remove: []; tint: [tint: BackTint] }>()
const NO_TINT: BackTint = { colour: '#23243f', strength: 0 }
/** the initial strength of a tint: a chosen colour should be visible */
const FIRST = 40
const tint = computed(() => props.back.tint ?? NO_TINT)
</script>

<template>
  <div class="row">
    <span>Own image on the whole back</span>
    <template v-if="back.image">
      <ElButton class="btn" @click="emit('choose')">Replace</ElButton>
      <ElButton class="btn" @click="emit('remove')">Remove</ElButton>
    </template>
    <ElButton v-else class="btn" @click="emit('choose')">Choose</ElButton>
  </div>
  <template v-if="back.image">
    <div class="row">
      <span id="tint">Tinted with</span>
      <ElColorPicker
        :model-value="tint.colour"
        color-format="hex"
        aria-label="Colour of the tint"
        @change="(colour) => colour && emit('tint', { colour, strength: tint.strength || FIRST })"
      />
      <ElSlider
        class="strength"
        :model-value="tint.strength"
        :max="BOUNDS.tint[1]"
        :step="5"
        :show-tooltip="false"
        aria-label="Strength of the tint"
        @input="(strength) => emit('tint', { ...tint, strength: strength as number })"
      />
      <span class="percent">{{ tint.strength }} %</span>
    </div>
    <p class="soft">The image covers emblem, pattern and ground; they come back when it is removed.</p>
  </template>
</template>

<style>
@import 'element-plus/theme-chalk/el-slider.css' layer(element);

.el-slider {
  --el-slider-main-bg-color: var(--lagoon);
  --el-slider-runway-bg-color: var(--line);
  --el-slider-height: 4px;
  --el-slider-button-size: 16px;
}
</style>
<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 14px;
  color: var(--ink-soft);
}
.row .btn {
  min-height: 32px;
  margin: 0;
  padding: 0 10px;
  font-size: 14px;
}
.row > span {
  flex: 1;
}
.strength {
  flex: none;
  width: 84px;
  margin: 0 4px;
}
.row > .percent {
  flex: none;
  width: 44px;
  text-align: right;
}
.soft {
  margin-top: 8px;
}
</style>
