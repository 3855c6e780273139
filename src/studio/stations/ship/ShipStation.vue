<script setup lang="ts">
import { ElButton } from 'element-plus'
import IconFile from '~icons/ph/file-code'
import IconPage from '~icons/ph/browser'
import IconZip from '~icons/ph/file-zip'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { unknownPictures } from '../../../core/findings/findings.ts'
import { imagesOf, soundsOf } from '../../../core/game/own-files.ts'
import { fileStem } from '../../../core/game/names.ts'
import { problemLine } from '../../../core/result.ts'
import { mountPlayer, type Player } from '../../../player/mount.ts'
import { pictureIndex, pictureUrl } from '../../store/pictures.ts'
import { useFindings } from '../../parts/findings/store.ts'
import { download, downloadGame } from '../../parts/look/download.ts'
import { idly } from '../../parts/look/idly.ts'
import { useBench } from '../../store/bench.ts'
import { speechOf } from '../../store/speech.ts'
import { drawnGame } from '../../store/sound-images.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import LevelAddresses from './LevelAddresses.vue'
import { makeHtml } from './make-html.ts'
import ShipFindings from './ShipFindings.vue'

const bench = useBench()
const checks = useFindings()
const { say } = useToasts()
const host = ref<HTMLElement>()
const pictures = ref<ReadonlySet<string>>()
const busy = ref(false)
let player: Player | null = null

const game = computed(() => bench.game!)
const findings = computed(() => [
  ...checks.all,
  ...(pictures.value ? unknownPictures(game.value, pictures.value) : []),
])
const stopped = computed(() => findings.value.some((finding) => finding.severity === 'stops'))
/** what a zip would contain besides the data: "images", "sounds" or both */
const ownFiles = computed(() =>
  [imagesOf(game.value).length && 'images', soundsOf(game.value).length && 'sounds']
    .filter(Boolean)
    .join(' and '),
)

async function page(): Promise<void> {
  busy.value = true
  try {
    const html = await makeHtml(game.value)
    if (!html.ok) return say(problemLine(html.problem), { tone: 'wrong' })
    const name = `${fileStem(game.value)}.html`
    download(name, html.value, 'text/html')
    say(`${name}, ${Math.ceil(new Blob([html.value]).size / 1024)} kB, is among your downloads`)
  } catch (error) {
    say(`The file could not be made: ${(error as Error).message}`, { tone: 'wrong' })
  } finally {
    busy.value = false
  }
}
async function zip(): Promise<void> {
  const { writeGameZip } = await import('../../../core/files/game-zip.ts')
  download(
    `${fileStem(game.value)}.game.zip`,
    writeGameZip(game.value) as Uint8Array<ArrayBuffer>,
    'application/zip',
  )
}

function mount(): void {
  player?.destroy()
  player = mountPlayer(host.value!, {
    game: drawnGame(game.value),
    art: pictureUrl,
    speech: speechOf(game.value, mount),
  })
}
// the station is shown before its preview: laying out four hundred cards takes a moment
const mountSoon = idly(() => host.value && mount())
onMounted(async () => {
  mountSoon()
  pictures.value = await pictureIndex().then(
    (all) => new Set(all.map(({ name }) => name)),
    () => undefined,
  )
})
onBeforeUnmount(() => player?.destroy())
watch(game, mountSoon)
</script>

<template>
  <div class="ship">
    <section class="preview" aria-label="Preview at phone size">
      <div class="phone"><div ref="host" class="host" /></div>
    </section>
    <section class="files">
      <h2>Ship {{ game.title }}</h2>
      <p class="lead">One file for players, or exact data for your own program.</p>

      <div class="ways">
        <article class="panel way">
          <IconPage class="sign" aria-hidden="true" />
          <h3>A page that plays anywhere</h3>
          <p class="soft">
            One HTML file with cards, rules and sounds inside. It plays offline and loads nothing.
          </p>
          <ElButton class="btn main" :disabled="busy || stopped || !checks.current" @click="page">
            {{ busy ? 'Making the page…' : 'Download the page' }}
          </ElButton>
          <p v-if="stopped" class="stop">Fix the problems below first.</p>
        </article>
        <article class="panel way">
          <IconFile class="sign" aria-hidden="true" />
          <h3>The game as data</h3>
          <p class="soft">
            Deck, rules and levels as JSON: to keep, to share, or to read with your own code and the command
            line.
          </p>
          <ElButton class="btn" @click="downloadGame(game)">Download the game file</ElButton>
          <ElButton v-if="ownFiles" class="btn" @click="zip">
            <IconZip />With {{ ownFiles }} as a zip
          </ElButton>
        </article>
      </div>

      <LevelAddresses :game="game" />

      <h3 class="title">Findings</h3>
      <ShipFindings :findings="findings" :current="checks.current" />
    </section>
  </div>
</template>

<style scoped>
.ship {
  display: grid;
  grid-template-columns: 460px minmax(0, 1fr);
  height: 100%;
}
.preview {
  display: grid;
  place-items: center;
  overflow: auto;
  padding: 16px;
  border-right: 1px solid var(--line);
  background: var(--paper);
}
.phone {
  padding: 12px 10px;
  border-radius: 34px;
  background: #16172c;
  box-shadow: 0 14px 40px #23243f40;
}
.host {
  width: 360px;
  height: 640px;
  border-radius: 24px;
  overflow: hidden;
}
.files {
  overflow-y: auto;
  padding: 28px 36px;
}
h2 {
  font-size: 25px;
}
.lead {
  margin: 4px 0 20px;
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 16px;
}
.way {
  display: grid;
  justify-items: start;
  align-content: start;
  gap: 8px;
  padding: 20px;
  box-shadow: var(--shadow);
}
.sign {
  width: 34px;
  height: 34px;
  color: var(--lagoon);
}
.way .btn {
  margin-top: 6px;
}
.stop {
  color: var(--brick);
  font-weight: 600;
}
.title {
  margin: 28px 0 6px;
}
@media (max-width: 900px) {
  .ship {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
  .phone {
    padding: 0;
    border-radius: 0;
  }
  .preview {
    padding: 0;
  }
  .host {
    max-width: 100vw;
    border-radius: 0;
  }
}
</style>
