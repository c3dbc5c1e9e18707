import { SETUP_STEPS } from '../../data/setup'
import { newOven } from './defaults'

type Stored = Record<string, unknown>

const isStored = (value: unknown): value is Stored => typeof value === 'object' && value !== null

/**
 * A log of version 3, tied to a batch alone, as version 4 keeps it: tied to the load it is of. Only hardening heats were laid over
 * a batch until then, and over all of its groups.
 */
export function logWithLoad(log: Stored, batch: Stored | undefined): Stored {
  if ('load' in log) return log
  const groups = Array.isArray(batch?.groups) ? batch.groups.filter(isStored) : []
  const groupIds = groups.flatMap(group => (typeof group.id === 'string' ? [group.id] : []))
  return { ...log, load: log.batchId === null ? null : { temper: 0, groupIds } }
}

/**
 * A workshop of version 2, with one oven by its size, as version 3 keeps it: a list of ovens, the one it had first. An
 * oven without a name gets one; batches refer to it by name, so a name it had is kept as it is.
 */
export function shopWithOvens(shop: Stored): Stored {
  if (!isStored(shop.oven)) return shop
  const { oven, ...rest } = shop
  const preset = oven.preset === 'small' || oven.preset === 'large' ? oven.preset : 'medium'
  const name = typeof oven.name === 'string' && oven.name !== '' ? oven.name : 'Hardening oven'
  const first = newOven('oven-1', name, preset)
  return {
    ...rest,
    ovens: [
      {
        ...first,
        maxC: typeof oven.maxC === 'number' ? oven.maxC : first.maxC,
        correctionC: typeof oven.correctionC === 'number' ? oven.correctionC : 0,
      },
      ...(shop.temperingOven === 'own' ? [newOven('oven-2', 'Tempering oven', 'small', 'tempering')] : []),
    ],
    hardeningOven: 'oven-1',
  }
}

/**
 * A batch of version 5 as version 6 keeps it: with the parts of its routes that the maker set. Until then nobody noted which those
 * were: all are taken to be the maker's, so that no route changes by itself.
 */
export function batchWithSetParts(batch: Stored): Stored {
  const groups = Array.isArray(batch.groups) ? batch.groups.filter(isStored) : []
  return {
    ...batch,
    groups: groups.map(group =>
      'fixed' in group ? group : { ...group, fixed: ['austenitizeC', 'soakMin', 'cold', 'tempers'] },
    ),
  }
}

/**
 * A workshop of version 6 as version 7 keeps it: everything in it counts as said by the maker, since it was worked with, and one
 * that came from a demo says that it is made up.
 */
export function shopWithSaid(shop: Stored): Stored {
  const isDemo = typeof shop.origin === 'string' && shop.origin.startsWith('demo-')
  return { ...shop, isDemo: shop.isDemo ?? isDemo, said: shop.said ?? [...SETUP_STEPS] }
}

/** Upgrades an event of a run from before its kinds had shapes of their own. */
const eventWithId = (event: Stored, i: number): Stored => {
  const { atS, kind, stepId, minutes, text } = event
  const moment = { id: `event-${i + 1}`, atS, kind }
  if (kind === 'remark') return { ...moment, text: text ?? '' }
  if (kind === 'add-minutes') return { ...moment, stepId, minutes: minutes ?? 0 }
  return kind === 'confirm' ? { ...moment, stepId } : moment
}

/**
 * A run of version 7 as version 8 keeps it: of one batch among several, with one pair of hands, its events with ids, and no blades of
 * its own: their clocks go by what was pressed. The runs a made-up workshop came with were called practice; now that practice counts
 * for nothing they are what they stand for, runs in the shop.
 */
export function runWithBlades(run: Stored, isDemo: boolean): Stored {
  if ('batchIds' in run) return run
  const { batchId, ...rest } = run
  const events = Array.isArray(run.events) ? run.events.filter(isStored) : []
  return {
    ...rest,
    batchIds: [batchId],
    people: 1,
    mode: isDemo && run.endedAt !== null ? 'shop' : run.mode,
    blades: [],
    events: events.map(eventWithId),
  }
}
