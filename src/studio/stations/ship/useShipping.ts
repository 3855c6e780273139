import { useLocalStorage } from '@vueuse/core'
import { computed, ref, type Ref } from 'vue'
import { fileStem } from '../../../core/game/names.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { good } from '../../../core/result.ts'
import type { Language } from '../../../core/texts/languages.ts'
import { ENGINE_NAME } from '../../../ship/engine-package.ts'
import { PAPER_DEFAULTS, type PaperOptions } from '../../../ship/paper/sheets.ts'
import { download } from '../../parts/look/download.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import type { Destination } from './destinations.ts'
import { kilobytes } from '../../../ship/kilobytes.ts'
import { makeHtml } from './make-html.ts'
import { makePaper } from './make-paper.ts'
import { makeProject } from './make-project.ts'
import { makeSite } from './make-site.ts'
import { useKit } from './useKit.ts'
import { useMade } from './useMade.ts'

/** What a press on the main button does, and what it is called; it waits until it is ready. */
type Act = { label: string; ready: boolean; run: () => unknown }

/** What goes to each destination: made as it is needed, with its name, its size, and how it leaves. In: where the game is going; the language of the preview, in which paper is printed. */
export function useShipping(chosen: Ref<Destination>, language: Ref<Language>, showsPaper: () => boolean) {
  const bench = useBench()
  const { say } = useToasts()
  const printed = useLocalStorage<PaperOptions>('lucky-twin.paper', { ...PAPER_DEFAULTS })
  /** a level that this game does not have is none */
  const paperOptions = computed({
    get: () => {
      const { level } = printed.value
      return { ...printed.value, level: bench.game!.levels.some(({ id }) => id === level) ? level : null }
    },
    set: (next) => (printed.value = next),
  })
  const spoken = computed(() =>
    languagesOf(bench.game!).includes(language.value) ? language.value : languagesOf(bench.game!)[0],
  )
  const page = useMade(makeHtml)
  const site = useMade(makeSite, () => chosen.value === 'site')
  const project = useMade(makeProject, () => chosen.value === 'project')
  const paper = useMade(
    (game) => makePaper(game, spoken.value, paperOptions.value),
    () => chosen.value === 'paper' || showsPaper(),
    () => JSON.stringify([paperOptions.value, spoken.value]),
  )
  const engine = useMade(
    async () => good(await (await import('./make-engine.ts')).makeEngine()),
    () => chosen.value === 'engine',
  )
  const file = useMade(
    async (game) => good((await import('../../../core/files/game-file.ts')).writeGame(game)),
    () => chosen.value === 'file',
  )
  const kit = useKit()
  const printing = ref('')

  const stem = computed(() => fileStem(bench.game!))
  const names = computed((): Record<Destination, string> => ({
    page: `${stem.value}.html`,
    frame: `${stem.value}.html`,
    site: `${stem.value}-site.zip`,
    paper: '',
    engine: ENGINE_NAME,
    project: `${stem.value}-project.zip`,
    kit: `${stem.value}-kit.zip`,
    file: `${stem.value}.game.json`,
  }))
  const sizes = computed((): Partial<Record<Destination, string>> => {
    const size = (bytes: number | undefined): string => (bytes === undefined ? '' : kilobytes(bytes))
    const sheets = paper.made.value?.sheets
    return {
      page: size(page.made.value?.bytes),
      frame: size(page.made.value?.bytes),
      site: size(site.made.value?.content.length),
      paper: sheets === undefined ? '' : `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}`,
      engine: size(engine.made.value?.length),
      project: size(project.made.value?.content.length),
      kit: size(kit.kit.value?.content.length),
      file: size(file.made.value ? new Blob([file.made.value]).size : undefined),
    }
  })

  function save(content: BlobPart, type: string): void {
    const name = names.value[chosen.value]
    download(name, content, type)
    say(`${name}, ${kilobytes(new Blob([content]).size)}, is among your downloads`)
  }
  /** Prints the sheets, and nothing around them. */
  function print(): void {
    printing.value = paper.made.value!.html
  }
  const problem = computed(() => {
    const of: Partial<Record<Destination, Ref<string>>> = {
      page: page.problem,
      frame: page.problem,
      site: site.problem,
      project: project.problem,
      engine: engine.problem,
      file: file.problem,
    }
    return of[chosen.value]?.value ?? ''
  })
  const zip = (content: BlobPart | undefined): void => save(content!, 'application/zip')
  const pageAct = (): Act => ({
    label: page.isCurrent.value ? 'Download the page' : 'Making the page…',
    ready: page.isCurrent.value && page.made.value !== null,
    run: () => save(page.made.value!.html, 'text/html'),
  })
  const ACTS: Record<Destination, () => Act> = {
    page: pageAct,
    frame: pageAct,
    site: () => ({
      label: site.isCurrent.value ? 'Download the site' : 'Making the site…',
      ready: site.isCurrent.value && site.made.value !== null,
      run: () => zip(site.made.value?.content),
    }),
    paper: () => ({
      label: paper.isCurrent.value ? 'Print…' : 'Laying out the sheets…',
      ready: paper.isCurrent.value && paper.made.value !== null,
      run: print,
    }),
    engine: () => ({
      label: 'Download the module',
      ready: engine.made.value !== null,
      run: () => save(engine.made.value!, 'application/gzip'),
    }),
    project: () => ({
      label: project.isCurrent.value ? 'Download the project' : 'Making the project…',
      ready: project.isCurrent.value && project.made.value !== null,
      run: () => zip(project.made.value?.content),
    }),
    kit: () =>
      kit.kit.value
        ? { label: 'Download the kit', ready: true, run: () => zip(kit.kit.value?.content) }
        : { label: 'Make the kit', ready: !kit.isMaking.value, run: kit.make },
    file: () => ({
      label: 'Download the game file',
      ready: file.isCurrent.value && file.made.value !== null,
      run: () => save(file.made.value!, 'application/json'),
    }),
  }
  const act = computed(() => ACTS[chosen.value]())
  return { page, site, project, paper, paperOptions, kit, names, sizes, act, problem, printing }
}
