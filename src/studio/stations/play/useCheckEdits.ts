import { computed } from 'vue'
import { checkOf } from '../../../core/game/check.ts'
import type { Check } from '../../../core/play/record.ts'
import { useBench } from '../../store/bench.ts'
import { useDone } from '../../parts/toast/useDone.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'
import type { Tape } from '../../store/tapes.ts'

const OUTCOMES = ['won', 'lost', 'open']

/** The kept checks of the game on the bench, and their edits; each is one undo step. */
export function useCheckEdits() {
  const bench = useBench()
  const { say } = useToasts()
  const tell = useDone()
  const checks = computed(() => bench.game!.checks ?? [])

  const edit = (label: string, to: (all: Check[]) => Check[]): void =>
    bench.edit(label, (game) => void (game.checks = to(checks.value)))
  const change = (check: Check, label: string, to: Check): void =>
    edit(label, (all) => all.map((one) => (one.id === check.id ? to : one)))

  /** Keeps a tape as a check that expects the same outcome in every figure. */
  function keep(tape: Tape | null): void {
    const check = tape && checkOf(bench.game!, tape, tape.name)
    if (!check) return
    edit('keep a check', (all) => [...all, check])
    tell(`"${check.name}" is kept as a check`)
  }
  /** Expects what the current rules give. */
  function accept(check: Check): void {
    const again = checkOf(bench.game!, check, check.name)
    if (again) change(check, 'expect it as it is now', { ...again, id: check.id })
  }
  /** Changes an expectation; an empty value removes it. */
  function expect(check: Check, key: string, value: unknown): void {
    const sound = key === 'outcome' ? OUTCOMES.includes(value as string) : Number.isInteger(value)
    if (value !== '' && !sound)
      return say(`${key}: ${key === 'outcome' ? 'won, lost or open' : 'a whole number'} is expected`, {
        tone: 'wrong',
      })
    const { [key as keyof Check['expect']]: _old, ...rest } = check.expect
    const next = value === '' ? rest : { ...rest, [key]: value }
    change(check, 'change what a check expects', { ...check, expect: next })
  }
  function rename(check: Check, name: string): void {
    if (name.trim()) change(check, 'rename a check', { ...check, name: name.trim() })
  }
  const drop = (check: Check): void =>
    edit('remove a check', (all) => all.filter(({ id }) => id !== check.id))

  return { checks, keep, accept, expect, rename, drop }
}
