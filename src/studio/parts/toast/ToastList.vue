<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconClose from '~icons/ph/x'
import { useToasts } from './useToasts.ts'

const { toasts, close } = useToasts()
</script>

<template>
  <div class="toasts" role="status" aria-live="polite">
    <div v-for="toast in toasts" :key="toast.id" class="toast" :class="toast.tone">
      <span>{{ toast.text }}</span>
      <ElButton v-if="toast.act" class="act" @click="(toast.act.run(), close(toast.id))">
        {{ toast.act.label }}
      </ElButton>
      <ElButton class="close" aria-label="Close this message" @click="close(toast.id)">
        <IconClose />
      </ElButton>
    </div>
  </div>
</template>

<style scoped>
.toasts {
  position: fixed;
  left: 50%;
  bottom: 20px;
  z-index: 4000;
  display: grid;
  gap: 8px;
  width: max-content;
  max-width: calc(100vw - 32px);
  transform: translateX(-50%);
}
.toast {
  display: flex;
  align-items: center;
  gap: 14px;
  max-width: 640px;
  padding: 10px 10px 10px 18px;
  border-radius: var(--round-card);
  background: var(--ink);
  color: #fffdf8;
  box-shadow: 0 8px 30px #23243f4d;
}
.toast.wrong {
  background: #8c261f;
}
.act {
  padding: 4px 10px;
  border: 0;
  border-radius: var(--round);
  background: #ffffff26;
  color: #fff;
  font: 600 15px/1.4 var(--body);
  cursor: pointer;
}
.close {
  display: grid;
  place-items: center;
  width: 28px;
  height: 28px;
  padding: 0;
  border: 0;
  border-radius: var(--round);
  background: none;
  color: #e9e4ee;
  cursor: pointer;
}
.act:hover,
.close:hover {
  background: #ffffff40;
}
.toast :focus-visible {
  outline-color: #fff;
}
</style>
