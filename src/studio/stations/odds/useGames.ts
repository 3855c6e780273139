import { computed, onBeforeUnmount, ref, shallowRef, watch, type ShallowRef } from 'vue'
import { GAMES, joinGames, SEED, type Games } from '../../../core/odds/games.ts'
import { OddsTally, type Odds } from '../../../core/odds/odds-of.ts'
import type { Mind } from '../../../core/settings/mind.ts'
import { problemLine } from '../../../core/result.ts'
import { plain } from '../../workers/jobs/for-worker.ts'
import { playLots } from '../../workers/jobs/games.ts'
import type { GamesLot, ExactFigures } from '../../workers/jobs/work/games.ts'
import { Cancelled, type Job } from '../../workers/jobs/job.ts'
import { deckKey, playedBy, type OddsSubject } from './useOddsSubject.ts'

/** Lots are shown as they come, but not more often than this, in ms. */
const SHOWN_EVERY = 400
/** How many results are kept during a visit. */
const KEPT = 60

/** The result of a mind's games. `unlimited`: the same games played on with nothing to end them. */
export type MindResult = {
  games: Games
  unlimited: Games
  odds: Odds
  exact: ExactFigures | null
  complete: boolean
}

/** By level and mind: results of this visit. */
const cache = new Map<string, MindResult>()
const keyOf = (subject: OddsSubject, { memory, pace }: Mind): string =>
  JSON.stringify([deckKey(subject), playedBy(subject), memory, pace])

/** Lots of one mind, joined in the order of their numbers as far as they are complete. */
class Lots {
  private readonly waiting = new Map<number, GamesLot>()
  private readonly done: GamesLot[] = []
  private next = 1
  take(lot: GamesLot): void {
    this.waiting.set(lot.from, lot)
    for (let one = this.waiting.get(this.next); one; one = this.waiting.get(this.next)) {
      this.done.push(one)
      this.next += one.games.ends.length
    }
  }
  get played(): MindResult | null {
    if (!this.done.length) return null
    const games = joinGames(this.done.map((lot) => lot.games))
    const unlimited = joinGames(this.done.map((lot) => lot.unlimited ?? lot.games))
    const tally = new OddsTally()
    tally.add(games)
    const complete = tally.isFull || games.ends.length >= GAMES
    return { games, unlimited, odds: tally.odds(), exact: this.done[0]!.exact, complete }
  }
}

/** The games of the minds that are switched on, for the current question; only missing ones are played. */
export function useGames(subject: Readonly<ShallowRef<OddsSubject>>, minds: () => readonly Mind[]) {
  const played = shallowRef<ReadonlyMap<string, MindResult>>(new Map())
  /** the minds whose figures are old, until new ones come */
  const old = shallowRef<ReadonlySet<string>>(new Set())
  const problem = ref('')
  const working = ref(false)
  /** the share of all games that is done, 0 to 1 */
  const done = computed(() => {
    const all = minds()
    const there = all.reduce((sum, { id }) => {
      const one = old.value.has(id) ? null : played.value.get(id)
      return sum + (one?.complete ? 1 : (one?.odds.games ?? 0) / GAMES)
    }, 0)
    return all.length ? there / all.length : 1
  })
  let job: Job<unknown> | null = null
  let timer = 0
  let level = ''

  function cancel(): void {
    clearTimeout(timer)
    timer = 0
    job?.cancel()
    job = null
    working.value = false
  }
  async function play(): Promise<void> {
    cancel()
    problem.value = ''
    const now = subject.value
    const results = new Map<string, MindResult>()
    const before = new Set<string>()
    for (const mind of minds()) {
      const cached = cache.get(keyOf(now, mind))
      const one = cached ?? (now.level.id === level ? played.value.get(mind.id) : undefined)
      if (one) results.set(mind.id, one)
      if (one && !cached) before.add(mind.id)
    }
    level = now.level.id
    played.value = results
    old.value = before
    const unplayed = minds().filter(({ id }) => before.has(id) || !results.get(id)?.complete)
    if (!unplayed.length) return
    working.value = true
    const lots = unplayed.map(() => new Lots())
    const show = (): void => {
      timer = 0
      const next = new Map(played.value)
      const stillOld = new Set(old.value)
      unplayed.forEach((mind, i) => {
        const one = lots[i]!.played
        if (!one) return
        next.set(mind.id, one)
        stillOld.delete(mind.id)
        if (one.complete) keep(keyOf(now, mind), one)
      })
      played.value = next
      old.value = stillOld
    }
    const { pairs, settings, rivals } = now
    const mine = playLots({ pairs, settings, rivals }, plain(unplayed), GAMES, SEED, (lot) => {
      lots[lot.mind]!.take(lot)
      // the first figures at once
      if (!timer) timer = window.setTimeout(show, played.value.size ? SHOWN_EVERY : 0)
    })
    job = mine
    try {
      const end = await mine.done
      if (!end.ok) {
        problem.value = problemLine(end.problem)
        played.value = new Map()
      }
    } catch (error) {
      if (error instanceof Cancelled) return
      problem.value = (error as Error).message
    }
    clearTimeout(timer)
    show()
    working.value = false
  }
  watch(
    () => [subject.value, minds()],
    () => void play(),
    { immediate: true },
  )
  onBeforeUnmount(cancel)
  return { played, old, problem, working, done, cancel, again: () => void play() }
}

function keep(key: string, one: MindResult): void {
  cache.delete(key)
  cache.set(key, one)
  for (const oldest of cache.keys()) if (cache.size > KEPT) cache.delete(oldest)
}
