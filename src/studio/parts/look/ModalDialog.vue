<script setup lang="ts">
import { ElButton, ElDialog } from 'element-plus'
import IconClose from '~icons/ph/x'
import { ref } from 'vue'

/**
 * A dialog over the page. Focus stays inside, first on the element with `autofocus`; Escape or a press beside it closes
 * it.
 */
const open = defineModel<boolean>({ required: true })
defineProps<{ title: string; width: number }>()
const body = ref<HTMLElement>()

const focusFirst = (): void => body.value?.querySelector<HTMLElement>('[autofocus]')?.focus()
</script>

<template>
  <ElDialog
    v-model="open"
    :title="title"
    :width="`min(${width}px, calc(100vw - 32px))`"
    append-to="#over"
    align-center
    destroy-on-close
    :show-close="false"
    @opened="focusFirst"
  >
    <template #header="{ titleId, close }">
      <h2 :id="titleId">{{ title }}</h2>
      <ElButton class="icon-btn" aria-label="Close" @click="close"><IconClose /></ElButton>
    </template>
    <div ref="body"><slot /></div>
    <template v-if="$slots.buttons" #footer><slot name="buttons" /></template>
  </ElDialog>
</template>

<style scoped>
h2 {
  font-size: 22px;
}
</style>
