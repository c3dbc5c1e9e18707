import { problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { NOTHING_FOUND } from '../core/load/inspect'
import { packetsOf } from '../core/load/packets'
import { joinedRun, withEvents, withoutEvent } from '../core/run/join'
import { inspectedIn, leakedIn, soakedMinOf, statesIn } from '../core/run/record'
import { withBlades } from '../core/shop/batch-records'
import { type Run, type RunEvent, runSchema } from '../core/shop/run'
import { db } from './database'
import { remember } from './history'
import { bladesOfBatches } from './of-batches'
import { fitting, fittingChange, isRefusal, SAVED, saving, Unfit } from './save-state'
import { lastKnown, type RunChange, restRun, unsavedRuns, withChanges } from './unsaved-runs'

const RETRY_MS = 5000
let retry: ReturnType<typeof setInterval> | null = null

function keepWaiting(id: string, changes: readonly RunChange[], whole: Run | null) {
  const next = new Map(unsavedRuns.get())
  if (changes.length > 0) next.set(id, { changes, whole })
  else next.delete(id)
  unsavedRuns.set(next)
  restRun(id, changes.length > 0 ? whole : null)
  if (next.size > 0) retry ??= setInterval(() => void tryAgain(), RETRY_MS)
  else if (retry) {
    clearInterval(retry)
    retry = null
  }
}

/** Tries to store what waits, run by run; gives back the first refusal. */
async function tryAgain(): Promise<Saving> {
  for (const [id, { changes }] of unsavedRuns.get()) {
    const outcome = await write(id, run => withChanges(run, changes))
    if (!outcome.saved) return outcome
    const now = unsavedRuns.get().get(id)
    keepWaiting(id, (now?.changes ?? []).slice(changes.length), now?.whole ?? null)
  }
  return SAVED
}

const write = (id: string, change: RunChange): Promise<Saving> =>
  saving(
    () =>
      db.transaction('rw', db.runs, db.blades, db.batches, async () => {
        const run = await db.runs.get(id)
        if (!run) return
        lastKnown.set(id, run)
        const after = fittingChange(runSchema, run, change(run))
        await db.runs.put(after)
        lastKnown.set(id, after)
        if (after.mode !== 'shop') return
        await noteInspected(run, after)
        if (after.endedAt !== null) await noteBlades(after)
      }),
    tryAgain,
  )

/** Writes what an earlier page kept of a run beside the database; where it is refused again, it is kept here. */
export async function finishRun(copy: Run): Promise<void> {
  const join: RunChange = stored => joinedRun(stored, copy)
  const { saved } = (await db.runs.get(copy.id).catch(() => undefined))
    ? await write(copy.id, join)
    : await saving(() => db.runs.put(copy))
  if (saved) restRun(copy.id, null)
  else keepWaiting(copy.id, [join], copy)
}

/** Stores with blades and batches what the run's count says, as it is confirmed or taken back; what was entered at Inspect stays. */
async function noteInspected(before: Run, after: Run): Promise<void> {
  const [was, is] = [inspectedIn(before), inspectedIn(after)]
  const all = new Set([...was, ...is])
  if ([...all].every(id => was.has(id) === is.has(id))) return
  const blades = (await db.blades.bulkGet([...all])).flatMap(blade => blade ?? [])
  for (const blade of blades) {
    const { inspection, ...rest } = blade
    if (is.has(blade.id) && !inspection) await db.blades.put({ ...rest, inspection: NOTHING_FOUND })
    else if (!is.has(blade.id) && JSON.stringify(inspection) === JSON.stringify(NOTHING_FOUND))
      await db.blades.put(rest)
  }
  for (const batchId of new Set(blades.map(blade => blade.batchId))) {
    const batch = await db.batches.get(batchId)
    const count = (ids: ReadonlySet<string>) =>
      blades.filter(one => one.batchId === batchId && ids.has(one.id)).length || null
    // Only what a run counted before is counted anew: a number that was entered by hand stays.
    if (batch?.countedOut === count(was)) await db.batches.put({ ...batch, countedOut: count(is) })
  }
}

/**
 * Stores the soak and state of blades once their run is over, and again after a correction: learning, loads
 * and counted rests on it.
 */
async function noteBlades(run: Run): Promise<void> {
  const [soaks, states, leaked] = [soakedMinOf(run), statesIn(run), await inLeakedPackets(run)]
  for (const blade of await db.blades.bulkGet(run.blades.map(one => one.bladeId))) {
    if (!blade) continue
    const soakedMin = soaks.get(blade.id)
    const state = states.get(blade.id)
    const others = (blade.states ?? []).filter(one => one.runId !== run.id)
    const { packet, ...rest } = blade
    const { leakRunId, ...found } = { sealed: false, leak: null, ...packet }
    const leak = leaked.has(blade.id) ? { leakRunId: run.id } : leakRunId === run.id ? {} : leakRunId && { leakRunId }
    await db.blades.put({
      ...rest,
      ...(packet || leaked.has(blade.id) ? { packet: { ...found, ...leak } } : {}),
      ...(soakedMin === undefined ? {} : { soakedMin }),
      ...(state || blade.states ? { states: [...others, ...(state ? [{ ...state, why: '' }] : [])] } : {}),
    })
  }
}

/** Blades of a run that lay in a packet which was called to leak: all that were in it, not only the one that was named. */
async function inLeakedPackets(run: Run): Promise<ReadonlySet<string>> {
  const named = leakedIn(run)
  if (named.size === 0) return named
  const ids = [...run.batchIds]
  const records = (await db.batches.bulkGet(ids)).flatMap(batch => batch ?? [])
  const packets = withBlades(records, await bladesOfBatches(ids)).flatMap(packetsOf)
  const leaked = packets.filter(({ blades }) => blades.some(blade => named.has(blade.id)))
  return new Set([...named, ...leaked.flatMap(({ blades }) => blades.map(blade => blade.id))])
}

/**
 * Changes a run on what is stored now: two open tabs keep one log. What the browser will not store is in force on this page all the
 * same, and tried again until it does: nobody can press a step twice in front of a hot oven.
 */
export async function changeRun(id: string, change: RunChange): Promise<Saving> {
  const keep = () => {
    const { changes = [], whole = lastKnown.get(id) ?? null } = unsavedRuns.get().get(id) ?? {}
    keepWaiting(id, [...changes, change], whole && change(whole))
  }
  if (unsavedRuns.get().has(id)) {
    keep()
    return { saved: false, problems: [] }
  }
  const outcome = await write(id, change)
  const [refused] = outcome.problems
  if (refused && isRefusal(refused)) keep()
  return outcome
}

export const logEvents = (id: string, events: readonly RunEvent[]): Promise<Saving> =>
  changeRun(id, run => withEvents(run, events))

/**
 * A run that begins now. Of one batch only one goes on at a time: where another tab began one in the same moment, that one goes on
 * and this is not stored. Practice stands in nobody's way, but there is one of it too.
 */
export async function addRun(run: Run): Promise<Saving> {
  return saving(() =>
    db.transaction('rw', db.runs, async () => {
      const going = await db.runs
        .where('batchIds')
        .anyOf([...run.batchIds])
        .filter(other => other.endedAt === null && other.mode === run.mode)
        .first()
      if (going) throw new Unfit([problem('run-goes-on', {})])
      await db.runs.add(fitting(runSchema, run))
      lastKnown.set(run.id, run)
    }),
  )
}

/** Notes a remark of a run, and remembers how to take it out again. */
export async function addRemark(runId: string, remark: Extract<RunEvent, { kind: 'remark' }>): Promise<Saving> {
  const outcome = await logEvents(runId, [remark])
  let noted = remark
  if (outcome.saved)
    remember({
      label: `Remark “${remark.text}”`,
      undo: async () => ((await takeOutEvent(runId, noted.id)).saved ? 'done' : 'refused'),
      redo: async () => {
        // What was taken out stays out, on every screen: noted again, it is another.
        noted = { ...remark, id: crypto.randomUUID() }
        return (await logEvents(runId, [noted])).saved ? 'done' : 'refused'
      },
    })
  return outcome
}

export const takeOutEvent = (runId: string, eventId: string): Promise<Saving> =>
  changeRun(runId, run => withoutEvent(run, eventId))
