<script setup lang="ts">
import { computed } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
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
    <InTurn><SpeaksRow /></InTurn>
  </div>
  <div class="part">
    <h3>Says</h3>
    <InTurn><SaysTable /></InTurn>
  </div>
  <div class="part">
    <h3>Keeps</h3>
    <p>best results and an open game, in the player's browser; it sends nothing</p>
  </div>
  <div v-if="page && !files" class="part">
    <h3>Weighs</h3>
    <InTurn><WeighsBar :weights="page.weights" /></InTurn>
  </div>
  <div class="part">
    <h3>Credits</h3>
    <InTurn><CreditsRow :credits="page?.credits ?? []" :licenses="page?.licenses ?? ''" /></InTurn>
  </div>
  <div class="part">
    <h3>Levels</h3>
    <InTurn><LevelAddresses :game="game" /></InTurn>
  </div>
</template>

<style scoped src="./part.css"></style>
