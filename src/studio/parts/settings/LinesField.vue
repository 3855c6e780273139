<script setup lang="ts">
import { ElInput } from 'element-plus'

/** A field for text that is as high as its lines are many. */
const model = defineModel<string>({ required: true })
/** whether the browser does that itself; without it the field is measured again and again */
const grows = CSS.supports('field-sizing', 'content')
</script>

<template>
  <ElInput
    v-model="model"
    class="lines"
    type="textarea"
    :rows="1"
    :autosize="!grows && { minRows: 1 }"
    resize="none"
  />
</template>

<style scoped>
.lines :deep(textarea) {
  field-sizing: content;
}
</style>
