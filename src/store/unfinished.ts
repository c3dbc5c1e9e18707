import { LEFT_ALONE_MS, PREFIX } from './resting'
import { RUN_PREFIX } from './unsaved-runs'

/** Finishes what an earlier page had begun to write when it went. */
export async function finishUnfinished(): Promise<void> {
  await finishResting()
  // What another tab put down a moment before it was closed is old enough by then.
  setTimeout(() => void finishResting(), LEFT_ALONE_MS)
}

/** Most pages find nothing: what finishes a change is fetched where one rests. Where it cannot be, the change rests for the next page. */
async function finishResting(): Promise<void> {
  if (isAnythingResting()) await import('./finish').then(finish => finish.finishTakenUp()).catch(() => undefined)
}

function isAnythingResting(): boolean {
  try {
    return Object.keys(localStorage).some(key => key.startsWith(PREFIX) || key.startsWith(RUN_PREFIX))
  } catch {
    return false
  }
}
