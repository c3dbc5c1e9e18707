import { toast } from 'sonner'

const LONG_ENOUGH_MS = 10_000

/** Says what was done, with a way back for a while. */
export const undoable = (done: string, undo: () => void): void => {
  toast(done, { action: { label: 'Undo', onClick: undo }, duration: LONG_ENOUGH_MS })
}
