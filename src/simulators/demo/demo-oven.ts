import type { BatchBlade } from '../../core/batch/tray'
import { detailedOven, ovenOf, temperingOvenOf } from '../../core/equipment/ovens'
import { type Load, loadsOf, type TemperLoad, temperLoadsOf } from '../../core/load/loads'
import type { Random } from '../../core/numeric/random'
import type { OvenEvidence } from '../../core/oven/evidence'
import { type LogPoint, thinLog } from '../../core/oven/log-points'
import type { Batch } from '../../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../../core/shop/defaults'
import type { Oven } from '../../core/shop/oven'
import type { OvenLog } from '../../core/shop/oven-log'
import type { Workshop } from '../../core/shop/workshop'
import { newLog } from '../../core/trace/oven-log'
import { createOvenController } from '../oven-controller'
import { OVEN_NAME } from './stories'

const DAY_MS = 86_400_000
/** The made-up oven runs hotter against its display every day, K a day. */
const DRIFT_K_PER_DAY = 0.035
const START_K = -6

/** How much hotter than it shows the made-up oven was so many days ago, K. */
export const ovenOffsetK = (daysAgo: number): number => DRIFT_K_PER_DAY * (365 - daysAgo) + START_K

/** Sensor checks over the year, and one survey of the chamber, colder at the door. */
export function demoOvens(now: Date): Oven[] {
  const at = (daysAgo: number) => new Date(now.getTime() - daysAgo * DAY_MS).toISOString()
  const check = (daysAgo: number, indicatedC: number, offK: number): OvenEvidence => ({
    id: `check-${daysAgo}-${indicatedC}`,
    kind: 'sensor',
    at: at(daysAgo),
    indicatedC,
    trueC: Math.round((indicatedC + ovenOffsetK(daysAgo) + offK) * 2) / 2,
    sdK: 2,
  })
  const survey: OvenEvidence = {
    id: 'survey-1',
    kind: 'survey',
    at: at(64),
    setC: 1060,
    indicatedC: 1060,
    sdK: 2,
    points: [
      [25, 75, 1056],
      [75, 75, 1058],
      [125, 75, 1055],
      [25, 225, 1066],
      [75, 225, 1068],
      [125, 225, 1067],
      [25, 375, 1069],
      [75, 375, 1070],
      [125, 375, 1068],
    ].map(([acrossMm = 0, inMm = 0, c = 0]) => ({ acrossMm, upMm: 55, inMm, c })),
  }
  return DEFAULT_WORKSHOP.ovens.map((oven, i) =>
    i === 0
      ? {
          ...oven,
          name: OVEN_NAME,
          controller: { ...oven.controller, fullPower: 'FULL' },
          evidence: [
            check(340, 800, 1),
            check(340, 1060, -1),
            check(190, 1060, 0.5),
            survey,
            check(30, 800, -0.5),
            check(30, 1060, 0.5),
          ],
        }
      : { ...oven, fan: true },
  )
}

const DOOR_S = 15
const SAMPLE_S = 20
const PULL_EVERY_S = 150
const KEPT_POINTS = 1500
/** A tempering oven is left to settle before blades go in, s; they stay for their hold and for being behind, min; and cool. */
const SETTLES_S = 900
const TEMPER_LAG_MIN = 15
const COOLS_S = 1200

/** How the made-up oven differs from its size: its empty run shows it. */
const OWN_WALLS = { k: 1.12, c: 0.95 }
const COOLED_FOR_S = 2 * 3600

/** An empty run from cold at full power, held, and cooled with the door shut: what a fit wants. */
function emptyRun(oven: Oven, now: Date, random: Random): OvenLog {
  const detailed = detailedOven(oven)
  const controller = createOvenController({ ...detailed, build: { ...detailed.build, wall: OWN_WALLS } })
  const points: [number, number][] = []
  controller.handle('PROG 1')
  controller.handle('STEP 1 FULL 1060 10')
  controller.handle('RUN')
  let endedS: number | null = null
  while (endedS === null || controller.reading().atS < endedS + COOLED_FOR_S) {
    controller.advance(SAMPLE_S)
    const { atS, shownC, step } = controller.reading()
    points.push([Math.round(atS / 0.6) / 100, Math.round(((shownC ?? 20) + random.normal(0, 0.6)) * 10) / 10])
    if (step === 0) endedS ??= atS
  }
  return newLog(
    {
      id: random.id('log'),
      ovenId: oven.id,
      name: 'empty-run.csv',
      addedAt: new Date(now.getTime() - 9 * DAY_MS).toISOString(),
    },
    points,
  )
}

/** Drives the stand-in as hands would, and keeps what a logger beside it would have kept. */
function logging(oven: Oven, random: Random) {
  const controller = createOvenController(detailedOven(oven))
  const samples: [number, number][] = []
  const run = (seconds: number) => {
    for (let s = 0; s < seconds; s += 5) {
      controller.advance(Math.min(5, seconds - s))
      const { atS, shownC } = controller.reading()
      if (shownC !== null && atS >= samples.length * SAMPLE_S)
        samples.push([atS / 60, Math.round((shownC + random.normal(0, 0.6)) * 10) / 10])
    }
  }
  return {
    controller,
    run,
    /** A programme of one hold, at full power to it. */
    start: (targetC: number, holdMin: number) => {
      for (const line of ['PROG 1', `STEP 1 FULL ${targetC} ${holdMin}`, 'RUN']) controller.handle(line)
    },
    /** Runs until the display shows a temperature, or for so long. */
    runTo: (shownC: number, mostH: number) => {
      while ((controller.reading().shownC ?? 0) < shownC && controller.reading().atS < mostH * 3600) run(SAMPLE_S)
    },
    door: () => {
      controller.handle('DOOR OPEN')
      run(DOOR_S)
      controller.handle('DOOR SHUT')
    },
    /** Puts blades in through the open door. */
    insert: (blades: readonly BatchBlade[]) => {
      controller.insert(
        blades.map(({ line: { lengthMm, widthMm, thicknessMm } }) => ({
          lengthMm,
          widthMm,
          thicknessMm,
          count: 1,
          view: 0.6,
        })),
      )
    },
    points: () =>
      thinLog(
        samples.map(([m]) => m),
        samples.map(([, c]) => c),
        KEPT_POINTS,
      ),
  }
}

/** One heat: loaded on the way up, soaked, and pulled blade after blade. */
function heatPoints(oven: Oven, load: Load, random: Random): LogPoint[] {
  const { run, start, runTo, door, insert, points } = logging(oven, random)
  start(load.austenitizeC, 600)
  runTo(load.entryC - 3, 3)
  insert(load.blades)
  door()
  runTo(load.austenitizeC - 3, 5)
  run(Math.max(...load.groups.map(g => g.route.soakMin)) * 60)
  for (const _ of load.blades) {
    door()
    run(PULL_EVERY_S)
  }
  return points()
}

/** One temper: into the warm oven, held, and left to cool with the door open. */
function temperPoints(oven: Oven, load: TemperLoad, random: Random): LogPoint[] {
  const { controller, run, start, runTo, door, insert, points } = logging(oven, random)
  start(load.atC, 900)
  runTo(load.atC - 3, 2)
  run(SETTLES_S)
  insert(load.blades)
  door()
  run((TEMPER_LAG_MIN + load.holdMin) * 60)
  controller.handle('STOP')
  controller.handle('DOOR OPEN')
  run(COOLS_S)
  return points()
}

/** The newest finished batch has the logs of its first heat and of its tempers, as a logger would have kept them. */
export function demoLogs(batches: readonly Batch[], shop: Workshop, now: Date, random: Random): OvenLog[] {
  const batch = batches.filter(b => b.countedOut !== null).reduce((a, b) => (b.createdAt > a.createdAt ? b : a))
  const [load] = loadsOf(batch, 'metric')
  const [hardens, tempers] = [ovenOf(shop, batch), temperingOvenOf(shop, batch)]
  if (!load || !hardens.ok || !tempers.ok) return []
  const [oven, tempering] = [hardens.value, tempers.value]
  const of = { batchId: batch.id, addedAt: batch.updatedAt }
  return [
    emptyRun(oven, now, random),
    newLog(
      {
        id: random.id('log'),
        ovenId: oven.id,
        ...of,
        load: { temper: 0, groupIds: load.groups.map(g => g.id) },
        name: 'logger-heat.csv',
      },
      heatPoints(oven, load, random),
    ),
    ...temperLoadsOf(batch).map(temper =>
      newLog(
        {
          id: random.id('log'),
          ovenId: tempering.id,
          ...of,
          load: { temper: temper.round, groupIds: [...new Set(temper.blades.map(b => b.group.id))] },
          name: `logger-temper-${temper.round}.csv`,
        },
        temperPoints(tempering, temper, random),
      ),
    ),
  ]
}
