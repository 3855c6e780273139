import { useBench } from '../../store/bench.ts'
import { useToasts } from './useToasts.ts'

/** Says what an edit has done, with its undo, while the document is as the edit left it: later, it would take back another one. */
export function useDone(): (text: string) => void {
  const bench = useBench()
  const { say } = useToasts()
  return (text) => {
    const { game } = bench
    say(text, { act: { label: 'Undo', run: bench.undo }, stands: () => bench.game === game })
  }
}
