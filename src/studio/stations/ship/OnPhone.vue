<script setup lang="ts">
import { ElButton, ElRadio, ElRadioGroup } from 'element-plus'
import IconCopy from '~icons/ph/copy'
import { useClipboard, useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { lentPath, type Opener } from '../../../core/files/lending.ts'
import ModalDialog from '../../parts/look/ModalDialog.vue'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useLending } from './useLending.ts'

/** The game on a device nearby: its address as a picture to photograph and as text, and who has opened it. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ html: string | null }>()
const { lending, problem, lentPage, lent, refresh, lend, takeBack } = useLending()
const { say } = useToasts()
const { copy, isSupported } = useClipboard({ legacy: true })

/** how often the list of those who opened it is asked for, in ms */
const OFTEN = 2000
const { pause, resume } = useIntervalFn(refresh, OFTEN, { immediate: false })
const isReady = ref(false)
watch(open, async (now) => {
  if (!now) return pause()
  isReady.value = false
  await refresh()
  isReady.value = true
  resume()
})
const nearby = computed(() => lending.value?.nearby ?? [])
const pickedAddress = ref('')
const origin = computed(() =>
  nearby.value.includes(pickedAddress.value) ? pickedAddress.value : nearby.value[0],
)
const address = computed(() =>
  lent.value && origin.value ? `${origin.value}${lentPath(lent.value.token)}` : '',
)
const picture = ref('')
watch(address, async (now) => {
  picture.value = ''
  if (!now) return
  const { toString } = await import('qrcode')
  const svg = await toString(now, { type: 'svg', margin: 2, color: { dark: '#23243f', light: '#fffdf8' } })
  if (address.value === now) picture.value = `data:image/svg+xml,${encodeURIComponent(svg)}`
})
const isOlder = computed(() => props.html !== null && lentPage.value !== props.html)
const others = computed(() => (lending.value?.lent ?? []).filter(({ token }) => token !== lent.value?.token))

async function start(): Promise<void> {
  const isNew = !lent.value
  const done = props.html && (await lend(props.html))
  if (done)
    say(isNew ? 'The page is lent for eight hours' : 'The page is replaced; load it again on the phone')
}
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })
const timeOf = (at: number): string => clock.format(at)

/** by what a browser says of itself: its name and device for people */
const names = ref<Record<string, string>>({})
async function nameBrowsers(openers: readonly Opener[]): Promise<void> {
  const { default: bowser } = await import('bowser')
  for (const { browser } of openers) {
    if (names.value[browser] !== undefined) continue
    const { browser: found, os } = bowser.parse(browser || ' ')
    const known = [found.name, os.name].filter(Boolean).join(' on ')
    names.value = { ...names.value, [browser]: known || 'unknown browser' }
  }
}
watch(
  () => lent.value?.openers ?? [],
  (openers) => openers.length && nameBrowsers(openers),
)
const COMMAND = 'npm start -- --lan'
async function copied(text: string): Promise<void> {
  await copy(text)
  say('Copied')
}
</script>

<template>
  <ModalDialog v-model="open" title="On my phone" :width="640">
    <div class="phone">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-else-if="!isReady" class="soft">Asking the server …</p>
      <template v-else-if="!nearby.length">
        <p>
          This Lucky Twin was started for this machine alone, so a phone cannot reach it. Stop it where it
          runs, and start it again with:
        </p>
        <p class="line">
          <code>{{ COMMAND }}</code>
          <ElButton v-if="isSupported" class="btn" @click="copied(COMMAND)"><IconCopy />Copy</ElButton>
        </p>
        <p class="soft">
          Your games are kept. Other devices in your network then get the pages that you lend, and nothing
          else.
        </p>
      </template>
      <template v-else-if="!lent">
        <p>
          Lends the page to devices in your network for eight hours. Whoever knows its address can open it;
          nobody can guess it.
        </p>
        <ElButton class="btn main" :disabled="!html" @click="start">Lend the page</ElButton>
      </template>
      <div v-else class="both">
        <img v-if="picture" :src="picture" :alt="`QR code of ${address}`" />
        <div class="beside">
          <p>Point the phone's camera at this, or type:</p>
          <p class="line">
            <code class="address">{{ address }}</code>
            <ElButton v-if="isSupported" class="btn" aria-label="Copy the address" @click="copied(address)"
              ><IconCopy
            /></ElButton>
          </p>
          <template v-if="nearby.length > 1">
            <p id="names" class="soft">If the phone does not find it, take another name of this machine:</p>
            <ElRadioGroup
              :model-value="origin"
              aria-labelledby="names"
              @update:model-value="pickedAddress = String($event)"
            >
              <ElRadio v-for="one in nearby" :key="one" :value="one">{{
                one.replace('http://', '')
              }}</ElRadio>
            </ElRadioGroup>
          </template>
          <p class="soft">Lent until {{ timeOf(lent.until) }}.</p>
          <h3>Opened by</h3>
          <ul v-if="lent.openers.length" aria-label="Opened by">
            <li v-for="{ address: from, browser, at } in lent.openers" :key="from + browser">
              {{ names[browser] ?? '…' }}, {{ from }}, {{ timeOf(at) }}
            </li>
          </ul>
          <p v-else class="soft">nobody yet</p>
          <div class="buttons">
            <ElButton v-if="isOlder" class="btn main" @click="start">Lend it as it is now</ElButton>
            <ElButton class="btn" @click="takeBack(lent.token)">Take it back</ElButton>
          </div>
        </div>
      </div>
      <template v-if="others.length && !problem">
        <h3>Also lent</h3>
        <ul>
          <li v-for="{ token, title, until } in others" :key="token" class="line">
            <span>{{ title }}, until {{ timeOf(until) }}</span>
            <ElButton class="btn" :aria-label="`Take ${title} back`" @click="takeBack(token)"
              >Take it back</ElButton
            >
          </li>
        </ul>
      </template>
    </div>
  </ModalDialog>
</template>

<style scoped src="./code.css"></style>
<style scoped>
.phone {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  justify-items: start;
  gap: 12px;
}
.both {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 22px;
  width: 100%;
}
.both img {
  width: 220px;
  height: 220px;
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.beside {
  display: grid;
  align-content: start;
  gap: 8px;
}
.line {
  display: flex;
  align-items: center;
  gap: 10px;
}
.address {
  overflow-wrap: anywhere;
}
ul {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.el-radio-group {
  display: flex;
  flex-wrap: wrap;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
@media (max-width: 600px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
