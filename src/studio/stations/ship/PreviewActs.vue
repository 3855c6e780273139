<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconPhone from '~icons/ph/qr-code'
import IconTab from '~icons/ph/arrow-square-out'
import { ref } from 'vue'
import { useToasts } from '../../parts/toast/useToasts.ts'
import OnPhone from './OnPhone.vue'
import { useLending } from './useLending.ts'

/**
 * What can be done with the page beside looking at it here. `html`: the page as it is now, or null until it is made.
 */
const props = defineProps<{ html: string | null }>()
const isOpen = ref(false)
const { refresh, lend, hereAt, problem } = useLending()
const { say } = useToasts()

async function openTab(): Promise<void> {
  await refresh()
  const token = await lend(props.html!)
  if (token) window.open(hereAt(token), '_blank', 'noopener')
  else say(problem.value, { tone: 'wrong' })
}
</script>

<template>
  <div class="acts">
    <ElButton class="btn" :disabled="html === null" @click="isOpen = true"><IconPhone />On my phone</ElButton>
    <ElButton class="btn" :disabled="html === null" @click="openTab"><IconTab />In a tab</ElButton>
    <OnPhone v-model="isOpen" :html="html" />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 8px;
}
.acts .btn + .btn {
  margin-left: 0;
}
</style>
