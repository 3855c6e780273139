<script setup lang="ts">
import { computed } from 'vue'
import { useBench } from '../../store/bench.ts'
import CreditsRow from './CreditsRow.vue'
import FilesList from './FilesList.vue'
import LevelAddresses from './LevelAddresses.vue'
import type { MadePage } from './make-html.ts'
import SaysTable from './SaysTable.vue'
import SpeaksRow from './SpeaksRow.vue'
import WeighsBar from './WeighsBar.vue'

/** What a page is made of; `files` are those of a site. */
defineProps<{ page: MadePage | null; files?: Record<string, Uint8Array> }>()
const game = computed(() => useBench().game!)
</script>

<template>
  <div v-if="files" class="part">
    <h3>Contains</h3>
    <div>
      <FilesList :files="files" />
      <p class="soft">
        Unpack it into a folder of any web server that is reached by https. Players can put it on their home
        screen, and play without a network from then on.
      </p>
    </div>
  </div>
  <div class="part">
    <h3>Speaks</h3>
    <SpeaksRow />
  </div>
  <div class="part">
    <h3>Says</h3>
    <SaysTable />
  </div>
  <div class="part">
    <h3>Keeps</h3>
    <p>best results and an open game, in the player's browser; it sends nothing</p>
  </div>
  <div v-if="page && !files" class="part">
    <h3>Weighs</h3>
    <WeighsBar :weights="page.weights" />
  </div>
  <div class="part">
    <h3>Credits</h3>
    <CreditsRow :credits="page?.credits ?? []" :licenses="page?.licenses ?? ''" />
  </div>
  <div class="part">
    <h3>Levels</h3>
    <LevelAddresses :game="game" />
  </div>
</template>

<style scoped src="./part.css"></style>
