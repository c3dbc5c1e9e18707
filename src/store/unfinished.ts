import { finishEdit } from './batches'
import { LEFT_ALONE_MS, takeUp } from './journal'
import { finishShop } from './records'

/** Finishes what an earlier page had begun to write when it went. */
export async function finishUnfinished(): Promise<void> {
  await finishTakenUp()
  // What another tab put down a moment before it was closed is old enough by then.
  setTimeout(() => void finishTakenUp(), LEFT_ALONE_MS)
}

async function finishTakenUp(): Promise<void> {
  for (const { intent, end } of takeUp()) {
    if (intent.of === 'batch') await finishEdit(intent.before, intent.after)
    else await finishShop(intent.before, intent.after)
    end()
  }
}
