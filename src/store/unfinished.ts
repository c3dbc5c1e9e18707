import { finishEdit } from './batches'
import { takeUp } from './journal'
import { finishShop } from './records'

/** Finishes what an earlier page had begun to write when it went. */
export async function finishUnfinished(): Promise<void> {
  for (const intent of takeUp()) {
    if (intent.of === 'batch') await finishEdit(intent.before, intent.after)
    else await finishShop(intent.before, intent.after)
  }
}
