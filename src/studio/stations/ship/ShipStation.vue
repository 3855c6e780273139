<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconDownload from '~icons/ph/download-simple'
import IconPrint from '~icons/ph/printer'
import { computed, onMounted, ref, watch } from 'vue'
import InTurn from '../../parts/timing/InTurn.vue'
import { unknownPictures } from '../../../core/findings/findings.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import type { Language } from '../../../core/texts/languages.ts'
import { useFindings } from '../../parts/findings/store.ts'
import { useBench } from '../../store/bench.ts'
import { pictureIndex } from '../../store/pictures.ts'
import { DESTINATIONS, type Destination } from './destinations.ts'
import EngineDetails from './EngineDetails.vue'
import FileDetails from './FileDetails.vue'
import FrameDetails from './FrameDetails.vue'
import KitDetails from './KitDetails.vue'
import PageDetails from './PageDetails.vue'
import PaperDetails from './PaperDetails.vue'
import PrintFrame from './PrintFrame.vue'
import ProjectDetails from './ProjectDetails.vue'
import ShipFindings from './ShipFindings.vue'
import ShipPreview from './ShipPreview.vue'
import { useShipping } from './useShipping.ts'
import WhereTo from './WhereTo.vue'
import { isOneOf, useChoice } from '../../parts/settings/useChoice.ts'

const bench = useBench()
const checks = useFindings()
const pictures = ref<ReadonlySet<string>>()
const all = DESTINATIONS.flatMap((group) => group.all)
const target = useChoice<Destination>('ship', 'page', isOneOf(all.map(({ id }) => id)))
const destination = computed(() => all.find(({ id }) => id === target.value)!)
const language = ref<Language>(languagesOf(bench.game!)[0])
const screen = ref<InstanceType<typeof ShipPreview>['$props']['screen']>('upright')
watch(
  target,
  (now, before) => {
    if (now === 'paper') screen.value = 'paper'
    else if (before === 'paper' && screen.value === 'paper') screen.value = 'upright'
  },
  { immediate: true },
)
const shipping = useShipping(target, language, () => screen.value === 'paper')
const { page, site, project, paper, paperOptions, names, sizes, act, problem, printing } = shipping
const { options, kit, problem: kitProblem, share, cancel } = shipping.kit
/** the page, if it is of the game as it is now */
const html = computed(() => (page.isCurrent.value ? (page.made.value?.html ?? null) : null))

const findings = computed(() => [
  ...checks.all,
  ...(pictures.value ? unknownPictures(bench.game!, pictures.value) : []),
])
/** neither the rules as such nor the game file need a game that can be played */
const needsPlayable = computed(() => target.value !== 'engine' && target.value !== 'file')
const isStopped = computed(
  () => needsPlayable.value && findings.value.some(({ severity }) => severity === 'stops'),
)
const mayLeave = computed(
  () => act.value.ready && (!needsPlayable.value || (checks.current && !isStopped.value)),
)
onMounted(async () => {
  pictures.value = await pictureIndex().then(
    (index) => new Set(index.map(({ name: one }) => one)),
    () => undefined,
  )
})
</script>

<template>
  <div class="ship">
    <ShipPreview
      v-model:screen="screen"
      v-model:language="language"
      :sheets="paper.made.value?.html ?? null"
      :html="html"
    />
    <div class="going">
      <InTurn><WhereTo v-model="target" :sizes="sizes" /></InTurn>
      <section class="details" :aria-label="destination.name">
        <header>
          <div class="what">
            <h2>{{ destination.name }}</h2>
            <span class="soft" :data-tip="names[target] || undefined">{{ names[target] }}</span>
          </div>
          <ElButton class="btn main" :disabled="!mayLeave" @click="act.run">
            <IconPrint v-if="target === 'paper'" /><IconDownload v-else />{{ act.label }}
          </ElButton>
        </header>
        <p v-if="isStopped" class="stop">Fix the problems below first.</p>
        <p v-else-if="problem" class="stop" role="alert">{{ problem }}</p>

        <PageDetails
          v-if="target === 'page' || target === 'site'"
          :page="page.made.value"
          :files="target === 'site' ? site.made.value?.files : undefined"
        />
        <div v-else class="block">
          <PaperDetails
            v-if="target === 'paper'"
            v-model="paperOptions"
            v-model:language="language"
            :made="paper.made.value"
            :problem="paper.problem.value"
          />
          <EngineDetails v-else-if="target === 'engine'" />
          <FrameDetails v-else-if="target === 'frame'" :name="names.frame" :html="html" />
          <ProjectDetails v-else-if="target === 'project'" :files="project.made.value?.files ?? null" />
          <KitDetails
            v-else-if="target === 'kit'"
            v-model="options"
            :kit="kit"
            :problem="kitProblem"
            :share="share"
            @cancel="cancel"
          />
          <FileDetails v-else />
        </div>

        <div class="part">
          <h3>Findings</h3>
          <InTurn><ShipFindings :findings="findings" :current="checks.current" /></InTurn>
        </div>
      </section>
    </div>
    <PrintFrame v-model="printing" />
  </div>
</template>

<style scoped src="./part.css"></style>
<style scoped>
.ship {
  display: grid;
  grid-template: minmax(0, 1fr) / 380px 310px minmax(0, 1fr);
  height: 100%;
}
/* on a narrow screen both scroll together */
.going {
  display: contents;
}
.details {
  overflow-y: auto;
  padding: 18px 24px;
  background: var(--card);
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
.what {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 12px;
  min-width: 0;
}
h2 {
  font-size: 22px;
}
.what .soft {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
header .btn {
  margin-left: auto;
}
.block {
  margin-top: 14px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
.stop {
  margin-top: 8px;
  color: var(--brick);
  font-weight: 600;
}
@media (max-width: 1100px) {
  .ship {
    grid-template-columns: 300px minmax(0, 1fr);
  }
  .going {
    display: block;
    overflow-y: auto;
    background: var(--card);
  }
  .details {
    overflow: visible;
  }
}
@media (max-width: 760px) {
  .ship {
    display: block;
    overflow-y: auto;
  }
  .ship > :first-child {
    height: 560px;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
