import { thinLog } from '../../core/oven/log/thin'
import { loadsOf } from '../../core/plan/tray'
import type { Random } from '../../core/random'
import { DEFAULT_WORKSHOP } from '../../core/record/defaults'
import { detailedOven, ovenOf } from '../../core/record/oven-record'
import type { Oven, OvenEvidence } from '../../core/record/oven-schema'
import type { Batch, OvenLog, Workshop } from '../../core/record/schemas'
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
          evidence: [
            check(340, 800, 1),
            check(340, 1060, -1),
            check(190, 1060, 0.5),
            survey,
            check(30, 800, -0.5),
            check(30, 1060, 0.5),
          ],
        }
      : oven,
  )
}

const DOOR_S = 15
const SAMPLE_S = 20
const PULL_EVERY_S = 150

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
  return {
    id: random.id('log'),
    ovenId: oven.id,
    batchId: null,
    name: 'empty-run.csv',
    addedAt: new Date(now.getTime() - 9 * DAY_MS).toISOString(),
    points,
    loadedMin: null,
    pulledMin: null,
  }
}

/** The newest finished batch has the log of its heat: run on the stand-in, as a logger would have kept it. */
export function demoLogs(batches: readonly Batch[], shop: Workshop, now: Date, random: Random): OvenLog[] {
  const batch = batches.filter(b => b.countedOut !== null).reduce((a, b) => (b.createdAt > a.createdAt ? b : a))
  const [load] = loadsOf(batch)
  const oven = ovenOf(shop, batch)
  if (!load) return []
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
  const door = () => {
    controller.handle('DOOR OPEN')
    run(DOOR_S)
    controller.handle('DOOR SHUT')
  }
  controller.handle('PROG 1')
  controller.handle(`STEP 1 FULL ${load.austenitizeC} 600`)
  controller.handle('RUN')
  while ((controller.reading().shownC ?? 0) < load.entryC - 3 && controller.reading().atS < 3 * 3600) run(SAMPLE_S)
  controller.insert(
    load.pieces.map(({ blade }) => ({
      lengthMm: blade.lengthMm,
      widthMm: blade.widthMm,
      thicknessMm: blade.thicknessMm,
      count: 1,
      view: 0.6,
    })),
  )
  door()
  while ((controller.reading().shownC ?? 0) < load.austenitizeC - 3 && controller.reading().atS < 5 * 3600)
    run(SAMPLE_S)
  run(Math.max(...load.groups.map(g => g.route.soakMin)) * 60)
  for (const _ of load.pieces) {
    door()
    run(PULL_EVERY_S)
  }
  return [
    emptyRun(oven, now, random),
    {
      id: random.id('log'),
      ovenId: oven.id,
      batchId: batch.id,
      name: 'logger-heat.csv',
      addedAt: batch.updatedAt,
      points: thinLog(
        samples.map(([m]) => m),
        samples.map(([, c]) => c),
        1500,
      ).map(([m, c]): [number, number] => [m, c]),
      loadedMin: null,
      pulledMin: null,
    },
  ]
}
