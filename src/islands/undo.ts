import { newestStep, redoLast, undoStep } from '../store/history'
import { toast } from '../ui/toast'
import { undoneWords } from '../words/undone'

/** Long enough to see it with gloves on, ms. */
const LONG_ENOUGH_MS = 10_000

/** Takes the last thing done on this page back, and says what it was. */
export async function undo(): Promise<void> {
  toast(undoneWords(await undoStep()))
}

/** Does again what was undone last, and says what it was. */
export async function redo(): Promise<void> {
  toast(undoneWords(await redoLast()))
}

/** Says what was just done, with a way back for a while: of that very thing, whatever was done since. */
export function undoable(done: string): void {
  const step = newestStep()
  toast(done, {
    action: { label: 'Undo', onClick: () => void undoStep(step).then(outcome => toast(undoneWords(outcome))) },
    duration: LONG_ENOUGH_MS,
  })
}
