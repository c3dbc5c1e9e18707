import type { ToldShare } from '../core/files/pieces'
import { percentDone } from '../core/numeric/round'
import { toast } from '../ui/toast'
import type { Task } from '../workers/open-worker'

/** Time within which no progress message is needed, ms. */
const SHOWN_AFTER_MS = 600
/** Notified in steps of so many percent. */
const STEP_PERCENT = 5

/** Makes a file: what takes longer than a moment says how far it is, and can be stopped. Null where it was; rejects as the task does. */
export async function makingFile(name: string, start: (told: ToldShare) => Task<Blob>): Promise<Blob | null> {
  const [id, begunMs] = [`making-${name}`, Date.now()]
  let said = -1
  let stop: () => void = () => undefined
  const stopped = new Promise<null>(resolve => {
    stop = () => resolve(null)
  })
  const task = start(share => {
    const percent = percentDone(share, STEP_PERCENT)
    if (percent === said || Date.now() - begunMs < SHOWN_AFTER_MS) return
    said = percent
    const onClick = (event: { preventDefault: () => void }) => {
      // The message stays, to say that it was stopped.
      event.preventDefault()
      task.cancel()
      stop()
    }
    toast(`Making ${name}: ${percent} %`, {
      id,
      duration: Number.POSITIVE_INFINITY,
      action: { label: 'Stop', onClick },
    })
  })
  const ended = (text: string) => {
    if (said >= 0) toast(text, { id, duration: 4000, action: undefined })
  }
  try {
    const made = await Promise.race([task.done, stopped])
    ended(made ? `${name} is made: your browser keeps it with its downloads.` : `Stopped: ${name} was not made.`)
    return made
  } catch (error) {
    ended(`${name} could not be made.`)
    throw error
  }
}
