import { restingRuns, takeUp } from './journal'
import { finishRun } from './runs'
import { finishEdit } from './write-batches'
import { finishShop } from './write-records'

/** Writes what earlier pages put down and did not come to write. */
export async function finishTakenUp(): Promise<void> {
  for (const { key, intent, end } of takeUp()) {
    if (intent.of === 'batch') await finishEdit(intent.before, intent.after, key)
    else await finishShop(intent.before, intent.after, key)
    end()
  }
  for (const run of restingRuns()) await finishRun(run)
}
