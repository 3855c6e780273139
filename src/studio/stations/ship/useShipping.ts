import { computed, ref, type Ref } from 'vue'
import { countWords } from '../../../core/count-words.ts'
import { fileStem, gameFileName } from '../../../core/game/names.ts'
import { languagesOf } from '../../../core/game/in-language.ts'
import { good } from '../../../core/result.ts'
import type { Language } from '../../../core/texts/languages.ts'
import { ENGINE_NAME } from '../../../ship/engine-package.ts'
import {
  PAPER_BOUNDS,
  PAPER_DEFAULTS,
  PAPERS,
  type Paper,
  type PaperOptions,
} from '../../../ship/paper/sheets.ts'
import { download } from '../../parts/files/download.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import { useBench } from '../../store/bench.ts'
import type { Destination } from './destinations.ts'
import { kilobytes } from '../../../ship/kilobytes.ts'
import { makeHtml } from './make-html.ts'
import { makePaper } from './make-paper.ts'
import { makeProject } from './make-project.ts'
import { makeSite } from './make-site.ts'
import { useKit } from './useKit.ts'
import { ofGame, useMade } from './useMade.ts'
import { isNumberIn, isOneOf, isShape, isText, useChoice } from '../../parts/settings/useChoice.ts'

/** What a press on the main button does, and what it is called; it waits until it is ready. */
type Act = { label: string; ready: boolean; run: () => unknown }

/** What the rules as a module depend on: nothing of a game. */
const EVERY_GAME = {}

/**
 * What goes to each destination: made as it is needed, with its name, its size, and how it leaves. In: where the game
 * is going; the language of the preview, in which paper is printed.
 */
export function useShipping(
  destination: Ref<Destination>,
  language: Ref<Language>,
  showsPaper: () => boolean,
) {
  const bench = useBench()
  const { say } = useToasts()
  const printed = useChoice<PaperOptions>(
    'paper',
    { ...PAPER_DEFAULTS },
    isShape<PaperOptions>({
      paper: isOneOf(Object.keys(PAPERS) as Paper[]),
      width: isNumberIn(PAPER_BOUNDS.width),
      level: (value) => value === null || isText(value),
    }),
  )
  /** a level that this game does not have is none */
  const paperOptions = computed({
    get: () => {
      const { level } = printed.value
      return { ...printed.value, level: bench.game!.levels.some(({ id }) => id === level) ? level : null }
    },
    set: (next) => (printed.value = next),
  })
  const translation = computed(() =>
    languagesOf(bench.game!).includes(language.value) ? language.value : languagesOf(bench.game!)[0],
  )
  const page = useMade(makeHtml)
  const site = useMade(makeSite, () => destination.value === 'site')
  const project = useMade(makeProject, () => destination.value === 'project')
  const paper = useMade(
    (game) => makePaper(game, translation.value, paperOptions.value),
    () => destination.value === 'paper' || showsPaper(),
    (game) => ({ ...ofGame(game), options: paperOptions.value, language: translation.value }),
  )
  const engine = useMade(
    async () => good(await (await import('./make-engine.ts')).makeEngine()),
    () => destination.value === 'engine',
    () => EVERY_GAME,
  )
  const file = useMade(
    async (game) => good((await import('../../../core/files/game-file.ts')).writeGame(game)),
    () => destination.value === 'file',
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
    file: gameFileName(bench.game!),
  }))
  const sizes = computed((): Partial<Record<Destination, string>> => {
    const size = (bytes: number | undefined): string => (bytes === undefined ? '' : kilobytes(bytes))
    const sheets = paper.made.value?.sheets
    return {
      page: size(page.made.value?.bytes),
      frame: size(page.made.value?.bytes),
      site: size(site.made.value?.content.length),
      paper: sheets === undefined ? '' : countWords(sheets, 'sheet'),
      engine: size(engine.made.value?.length),
      project: size(project.made.value?.content.length),
      kit: size(kit.kit.value?.content.length),
      file: size(file.made.value ? new Blob([file.made.value]).size : undefined),
    }
  })

  function save(content: BlobPart, type: string): void {
    const name = names.value[destination.value]
    download(name, content, type)
    say(`${name}, ${kilobytes(new Blob([content]).size)}, is among your downloads`)
  }
  /** Prints the sheets, and nothing around them. */
  function print({ html }: { html: string }): void {
    printing.value = html
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
    return of[destination.value]?.value ?? ''
  })
  const saveZip = ({ content }: { content: BlobPart }): void => save(content, 'application/zip')
  /**
   * The main button where something is made first. In: that; what the button says when it is made, and before; what a
   * press does with it.
   */
  const whenMade = <Made>(
    { made, isCurrent }: { made: Ref<Made | null>; isCurrent: Ref<boolean> },
    label: string,
    making: string,
    run: (made: Made) => unknown,
  ): Act => ({
    label: isCurrent.value ? label : making,
    ready: isCurrent.value && made.value !== null,
    run: () => run(made.value!),
  })
  const pageAct = (): Act =>
    whenMade(page, 'Download the page', 'Making the page…', ({ html }) => save(html, 'text/html'))
  const ACTS: Record<Destination, () => Act> = {
    page: pageAct,
    frame: pageAct,
    site: () => whenMade(site, 'Download the site', 'Making the site…', saveZip),
    paper: () => whenMade(paper, 'Print…', 'Laying out the sheets…', print),
    engine: () =>
      whenMade(engine, 'Download the module', 'Packing the module…', (zip) => save(zip, 'application/gzip')),
    project: () => whenMade(project, 'Download the project', 'Making the project…', saveZip),
    kit: () =>
      kit.kit.value
        ? { label: 'Download the kit', ready: true, run: () => saveZip(kit.kit.value!) }
        : { label: 'Make the kit', ready: kit.share.value === null, run: kit.make },
    file: () =>
      whenMade(file, 'Download the game file', 'Writing the game file…', (text) =>
        save(text, 'application/json'),
      ),
  }
  const act = computed(() => ACTS[destination.value]())
  return { page, site, project, paper, paperOptions, kit, names, sizes, act, problem, printing }
}
