import { batchProblems } from '../core/batch/batch-rules'
import { newProblems, type Problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { isContinuing } from '../core/continuing'
import { followed } from '../core/new-batch/suggestion'
import { type Batch, batchSchema } from '../core/shop/batch'
import { partBatch, withBlades } from '../core/shop/batch-records'
import type { Blade } from '../core/shop/blade'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { takeBack } from '../core/shop/merge'
import { problemsOf } from '../core/shop/problems'
import { nextSerials, USUAL_SERIALS } from '../core/shop/serial'
import type { Workshop } from '../core/shop/workshop'
import { db } from './database'
import { isDone, noteDone } from './done'
import { type Applied, rememberChange, whileWritten } from './history'
import { bladesOfBatches } from './of-batches'
import { isBegun, readBatch } from './read-batch'
import { refuseInRun } from './run-going-on'
import { isRefusal, saving, Unfit } from './save-state'
import { ownSerialBlocks, usedSerials } from './serial-blocks'
import { keepUnsaved, unsavedBatches } from './unsaved-batches'

const COUNTED: readonly (keyof Batch)[] = ['rev', 'updatedAt']

/** Blades that have no serial yet get the next ones of their batch's year. */
async function withSerials(batch: Batch): Promise<Batch> {
  const fresh = batch.blades.filter(blade => blade.serial === '')
  if (fresh.length === 0) return batch
  const pattern = (await db.shop.get('shop'))?.serialPattern ?? USUAL_SERIALS
  const year = Number(batch.createdAt.slice(0, 4))
  const used = [...(await usedSerials(pattern, year)), ...batch.blades.map(blade => blade.serial)]
  const serials = nextSerials(pattern, year, used, fresh.length, await ownSerialBlocks())
  const given = new Map(fresh.map((blade, i) => [blade.id, serials[i] ?? '']))
  return { ...batch, blades: batch.blades.map(b => (given.has(b.id) ? { ...b, serial: given.get(b.id) ?? '' } : b)) }
}

/** Tables that a change of a batch is written with: its own, the shop it is planned in, and those that tell whether it is hardened. */
export const PLAN_TABLES = [db.batches, db.blades, db.shop, db.readings, db.runs, db.logs, db.meta] as const

/** A batch with what was left open of its routes as it is suggested now, until it is begun; one that does not fit stays as it is. */
const withSuggestions = async (batch: Batch, shop: Workshop): Promise<Batch> => {
  if (!batchSchema.safeParse(batch).success) return batch
  const planned = followed(batch, shop)
  return planned === batch || (await isBegun(batch)) ? batch : planned
}

/** Returns the parts of the workshop that suggestions start from. */
const suggestedFrom = ({ units, cold, ovens, hardeningOvenId, plates, oil, roomC }: Workshop) =>
  JSON.stringify([units, cold.medium, ovens, hardeningOvenId, plates, oil, roomC])

/** Brings what is suggested in every batch that is not begun up to a changed workshop. Runs inside a transaction on PLAN_TABLES. */
export async function followShop(before: Workshop, shop: Workshop): Promise<void> {
  if (suggestedFrom(before) === suggestedFrom(shop)) return
  const read = new Set(await db.readings.orderBy('batchId').uniqueKeys())
  const open = await db.batches.filter(batch => !read.has(batch.id)).toArray()
  const blades = await bladesOfBatches(open.map(batch => batch.id))
  for (const batch of withBlades(open, blades)) {
    const planned = await withSuggestions(batch, shop)
    if (planned !== batch) await store(batch, { ...planned, rev: batch.rev + 1 })
  }
}

/** Brings what is suggested in joined batches up to what was joined. Runs inside a transaction on PLAN_TABLES. */
export async function followJoined(ids: readonly string[]): Promise<void> {
  const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  for (const id of ids) {
    const batch = await readBatch(id)
    const planned = batch && (await withSuggestions(batch, shop))
    if (planned && planned !== batch) await store(batch, planned)
  }
}

/** Writes what differs of a batch and its blades. Runs inside a transaction on both and on the workshop. */
async function store(before: Batch | null, after: Batch): Promise<void> {
  const { record, blades } = partBatch(after)
  await db.batches.put(record)
  const was = new Map((before?.blades ?? []).map(blade => [blade.id, blade]))
  await db.blades.bulkPut(blades.filter((blade): blade is Blade => was.get(blade.id) !== blade))
  const kept = new Set(blades.map(blade => blade.id))
  await db.blades.bulkDelete([...was.keys()].filter(id => !kept.has(id)))
}

/** Everything that does not fit in a batch. */
const problemsIn = (batch: Batch): Problem[] => {
  const parsed = batchSchema.safeParse(batch)
  const rules = batchProblems(batch)
  const said = new Set(rules.map(one => one.path))
  // What a rule says in its own words is not said by the schema again.
  const shape = parsed.success ? [] : problemsOf(parsed.error, batch).filter(one => !said.has(one.path))
  return [...rules, ...shape]
}

/**
 * Applies a change to the newest stored state, so that a second tab's edits are kept. What does not fit is thrown as Unfit and
 * nothing is stored; what did not fit before does not stand in the way of another change. What was put down is noted as done with it,
 * and not done twice.
 */
async function write(
  id: string,
  change: (batch: Batch) => Batch,
  intent: string | null = null,
): Promise<{ before: Batch; after: Batch } | null> {
  let outcome: { before: Batch; after: Batch } | null = null
  await db.transaction('rw', PLAN_TABLES, async () => {
    if (intent && (await isDone(intent))) return
    const stored = await readBatch(id)
    const before = unsavedBatches.get().get(id) ?? stored
    if (!before) return
    const next = change(before)
    if (next.deletedAt !== null && before.deletedAt === null) await refuseInRun(run => run.batchIds.includes(id))
    const changed = { ...next, rev: before.rev + 1, updatedAt: new Date().toISOString() }
    const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
    const after = await withSerials(await withSuggestions(changed, shop))
    const wrong = newProblems(problemsIn(before), problemsIn(after))
    if (wrong.length > 0) throw new Unfit(wrong)
    await store(stored ?? null, after)
    if (intent) await noteDone(intent)
    outcome = { before, after }
  })
  if (unsavedBatches.get().has(id)) keepUnsaved(id, null)
  return outcome
}

/** Puts one state of a batch where the other stands, part by part. */
async function restore(id: string, to: Batch, from: Batch): Promise<Applied> {
  let clash = false
  const { saved } = await saving(() =>
    write(id, now => {
      const restored = takeBack(now, to, from, COUNTED)
      clash = restored === null
      return restored ?? now
    }),
  )
  return clash ? 'changed-elsewhere' : saved ? 'done' : 'refused'
}

/** Changes a batch and remembers how to take it back. What does not fit is told; a refused write is kept on the page. */
export async function editBatch(
  shown: Batch,
  label: string,
  change: (batch: Batch) => Batch,
  intent: string | null = null,
): Promise<Saving> {
  const goesOn = isContinuing()
  const edit = saving(
    async () => {
      const done = await write(shown.id, change, intent)
      if (done)
        rememberChange({ key: shown.id, label, ...done, apply: (to, from) => restore(shown.id, to, from) }, goesOn)
    },
    // What is kept on the page already holds the change.
    () => write(shown.id, batch => batch, intent),
  )
  const outcome = await whileWritten(edit)
  const [refused] = outcome.problems
  if (refused && isRefusal(refused)) keepUnsaved(shown.id, change(unsavedBatches.get().get(shown.id) ?? shown))
  return outcome
}

/** Writes a change that an earlier page did not come to write, unless the same part has changed since. */
export async function finishEdit(before: Batch, after: Batch, intent: string): Promise<void> {
  const stored = await readBatch(before.id)
  const finished = stored && takeBack(stored, after, before, COUNTED)
  if (finished) await saving(() => write(before.id, now => takeBack(now, after, before, COUNTED) ?? now, intent))
}

/** A batch that begins here. */
export const addBatch = (batch: Batch): Promise<Saving> =>
  saving(() =>
    db.transaction('rw', PLAN_TABLES, async () => {
      const whole = await withSerials(batch)
      const wrong = problemsIn(whole)
      if (wrong.length > 0) throw new Unfit(wrong)
      await store(null, whole)
    }),
  )
