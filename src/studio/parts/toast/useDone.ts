import { useBench } from '../../store/bench.ts'
import { useToasts } from './useToasts.ts'

/**
 * Reports what an edit has done, with its undo, while the document is as the edit left it: later, undo would revert
 * another edit.
 */
export function useDone(): (text: string) => void {
  const bench = useBench()
  const { say } = useToasts()
  return (text) => {
    const { game } = bench
    say(text, { act: { label: 'Undo', run: bench.undo }, isValid: () => bench.game === game })
  }
}
