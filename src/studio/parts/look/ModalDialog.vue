<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconClose from '~icons/ph/x'
import { onMounted, ref, useId, watch } from 'vue'

/** A dialog over the page: the browser's own, so focus stays inside, Escape closes it, and the page behind rests. */
const open = defineModel<boolean>({ required: true })
defineProps<{ title: string; width: number }>()
const box = ref<HTMLDialogElement>()
const id = useId()

function follow(): void {
  if (open.value && !box.value?.open) box.value?.showModal()
  else if (!open.value && box.value?.open) box.value.close()
}
onMounted(follow)
watch(open, follow, { flush: 'post' })
</script>

<template>
  <dialog
    ref="box"
    :aria-labelledby="id"
    :style="{ width: `min(${width}px, calc(100vw - 32px))` }"
    @close="open = false"
    @click.self="open = false"
  >
    <div class="sheet">
      <div class="head">
        <h2 :id="id">{{ title }}</h2>
        <ElButton class="icon-btn" aria-label="Close" @click="open = false"><IconClose /></ElButton>
      </div>
      <template v-if="open"><slot /></template>
      <div v-if="$slots.buttons" class="buttons"><slot name="buttons" /></div>
    </div>
  </dialog>
</template>

<style scoped>
dialog {
  max-height: calc(100vh - 40px);
  padding: 0;
  border: 0;
  border-radius: var(--round-card);
  background: var(--card);
  color: inherit;
  box-shadow: 0 24px 70px #23243f66;
}
dialog::backdrop {
  background: #23243f73;
}
.sheet {
  padding: 20px 24px;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 12px;
}
h2 {
  font-size: 22px;
}
.buttons {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 18px;
}
</style>
