<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue'
import { inTurn } from './turns.ts'

/** A piece of a page that is put there when its turn comes, so that a large page never stands still as it opens. */
const isThere = ref(false)
onBeforeUnmount(inTurn(() => (isThere.value = true)))
</script>

<template><slot v-if="isThere" /></template>
