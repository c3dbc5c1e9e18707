import { buildRunSteps } from '../core/run-plan/run-steps'
import type { Batch } from '../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { type Run, type RunEvent, runSchema } from '../core/shop/run'
import type { Workshop } from '../core/shop/workshop'
import { expectOk, gradeOf, NOW, trayOf } from './tray'

/** A run in the shop of a batch that begins at `NOW`. */
export const runOf = (batch: Batch, more: Partial<Run> = {}, shop: Workshop = DEFAULT_WORKSHOP): Run =>
  runSchema.parse({
    id: 'run',
    batchIds: [batch.id],
    startedAt: NOW,
    endedAt: null,
    mode: 'shop',
    people: 1,
    clock: [{ realMs: Date.parse(NOW), runS: 0, speed: 1 }],
    ...expectOk(buildRunSteps(batch, shop)),
    events: [],
    ...more,
  })

/** A tray of one steel in one load: so many blades A1, A2, ... */
export const trayOfBlades = (count: number): Batch =>
  trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count }], { entry: 'on-the-way-up' })

let made = 0
const moment = (atS: number) => ({ id: `event-${++made}`, atS })

export const pressed = (atS: number, stepId: string): RunEvent => ({ ...moment(atS), kind: 'confirm', stepId })
export const takenBack = (atS: number): RunEvent => ({ ...moment(atS), kind: 'take-back' })
export const showed = (atS: number, c: number): RunEvent => ({ ...moment(atS), kind: 'shows', c, by: 'hand' })
export const befell = (
  atS: number,
  incident: Extract<RunEvent, { kind: 'incident' }>['incident'],
  bladeIds: readonly string[] = [],
  seconds = 0,
): RunEvent => ({ ...moment(atS), kind: 'incident', incident, bladeIds: [...bladeIds], seconds, text: '' })

/** Presses of the first steps of a run at these seconds. */
export const pressedAt = (run: Pick<Run, 'steps'>, ...atS: readonly number[]): RunEvent[] =>
  atS.map((at, i) => pressed(at, run.steps[i]?.id ?? ''))

/** A run with more that happened in it. */
export const withEvents = (run: Run, ...events: readonly RunEvent[]): Run => ({
  ...run,
  events: [...run.events, ...events],
})

/** A bare run in the shop whose steps were each confirmed at a second of its clock, in the order given; nothing of its plan but kinds and blades. */
export const confirmedRun = (
  steps: readonly (readonly [kind: Run['steps'][number]['kind'], bladeIds: readonly string[]])[],
  atS: readonly number[],
  change: Partial<Run> = {},
): Run =>
  ({
    mode: 'shop',
    clock: [{ realMs: Date.parse(NOW), runS: 0, speed: 1 }],
    steps: steps.map(([kind, bladeIds], i) => ({
      id: `s${i}`,
      kind,
      bladeIds,
      wait: null,
      ovenSetC: 0,
      station: '',
      names: {},
    })),
    events: atS.map((at, i) => ({ id: `e${i}`, kind: 'confirm', stepId: `s${i}`, atS: at })),
    blades: [],
    endedAt: null,
    ...change,
  }) as unknown as Run
