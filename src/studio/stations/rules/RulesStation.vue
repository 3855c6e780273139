<script setup lang="ts">
import InTurn from '../../parts/timing/InTurn.vue'
import { useBench } from '../../store/bench.ts'
import AndMenu from './AndMenu.vue'
import BackSentence from './BackSentence.vue'
import BehindSentence from './BehindSentence.vue'
import HeadEditor from './HeadEditor.vue'
import HeardEditor from './HeardEditor.vue'
import LookSentence from './LookSentence.vue'
import MeaningAside from './MeaningAside.vue'
import MotionSentence from './MotionSentence.vue'
import RuleClause from './RuleClause.vue'
import RuleSearch from './RuleSearch.vue'
import RuleStory from './RuleStory.vue'
import TimingStrip from './TimingStrip.vue'

/** The rules of the open rung as six short paragraphs, in which every number and choice is edited in place. */
const bench = useBench()
</script>

<template>
  <div class="rules">
    <section class="story" aria-labelledby="story">
      <header>
        <h2 id="story">
          {{ bench.level ? `${bench.level.name}, as it is played` : 'House rules, as every level is played' }}
        </h2>
        <RuleSearch />
      </header>
      <RuleStory />
      <h3>What players see</h3>
      <InTurn><HeadEditor /></InTurn>
      <h3>How it looks</h3>
      <p class="look">
        <InTurn><LookSentence />{{ ' ' }}</InTurn>
        <InTurn>
          <MotionSentence />
          <RuleClause name="back"><BackSentence /></RuleClause>
          <RuleClause name="behind"><BehindSentence /></RuleClause>
          <AndMenu :paragraph="7" about="how it looks" />
        </InTurn>
      </p>
      <h3>What players hear</h3>
      <InTurn><HeardEditor /></InTurn>
    </section>
    <InTurn><MeaningAside class="meaning" /></InTurn>
    <InTurn><TimingStrip class="strip" /></InTurn>
  </div>
</template>

<style scoped>
.rules {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 290px;
  grid-template-rows: minmax(0, 1fr) auto;
  height: 100%;
}
.story {
  overflow-y: auto;
  padding: 24px 36px 20px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 16px;
  max-width: 760px;
}
h2 {
  font-size: 25px;
}
h3 {
  max-width: 760px;
  margin-top: 18px;
  padding: 14px 0 0 36px;
  border-top: 1px solid var(--line);
}
.look {
  position: relative;
  max-width: 760px;
  margin: 0;
  padding-left: 36px;
  font-size: 17px;
  line-height: 1.85;
}
.strip {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .rules {
    display: block;
    overflow-y: auto;
  }
}
</style>
