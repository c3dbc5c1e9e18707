import Papa from 'papaparse'
import { bench, describe } from 'vitest'
import { OVEN_BUILDS } from '../../data/ovens'
import { dayInstance } from '../../testing/day-instances'
import { gradeOf, groupOf, trayOf, withTray } from '../../testing/tray'
import { batchFiguresOf } from '../bench/batch-figures'
import { planDay } from '../day/plan'
import { ruleProblemOf } from '../day/rule-problem'
import { createLogReader } from '../files/oven-log/read-log'
import { planCuts } from '../foil/cut-plan'
import { newGroup } from '../new-batch/new-batch'
import { followed } from '../new-batch/suggestion'
import { fitOven } from '../oven/fit/fit-oven'
import type { LogPoint } from '../oven/log-points'
import { OvenModel } from '../oven/oven-model'
import { simulateOven } from '../oven/simulate'
import { paceOf } from '../quench/pace'
import { quench } from '../quench/quench'
import { DEFAULT_WORKSHOP as SHOP } from '../shop/defaults'
import { bandOf } from '../steel/band'
import { findGrade } from '../steel/grades'
import { predict } from '../steel/predict'
import { recipeMap } from '../steel/recipe-map'
import type { Steel } from '../steel/steel'
import { temperCurve } from '../steel/temper-curve'

const steel = findGrade('X153CrMoV12') as Steel
const bare: Steel = { composition: { C: 1.55, Cr: 11.8, Mo: 0.8, V: 0.8 } }
const route = {
  austenitizeC: 1020,
  soakMin: 30,
  quenchedToC: 25,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [{ atC: 200, holdMin: 120 }],
}

describe('one prediction against its parts', () => {
  bench('composition alone', () => void predict(bare, route))
  bench('with a chart', () => void predict(steel, route))
  bench('a tempering curve of 51 points', () => void temperCurve(steel, route))
})

describe('a map and a band against single predictions', () => {
  const map = { steel, route, austenitizeC: { min: 960, max: 1100 }, temperC: { min: 100, max: 600 }, shop: null }
  bench('100 predictions', () => {
    for (let i = 0; i < 100; i++) predict(steel, route)
  })
  bench('a band of 2000 draws', () => void bandOf({ steel, route, draws: 2000, seed: 1, target: null, shop: null }))
  bench('a recipe map of 80 by 80 with bands', () => void recipeMap({ ...map, size: 80 }))
})

describe('the cut plan by number of sheets', () => {
  for (const count of [4, 12, 40])
    bench(`${count} sheets of four sizes`, () => {
      const pieces = [
        [336, 130],
        [300, 118],
        [450, 150],
        [250, 110],
      ].map(([lengthMm = 0, widthMm = 0]) => ({ lengthMm, widthMm, count: count / 4 }))
      planCuts({ rollWidthMm: 610, rotate: true, longestSectionMm: null, pieces })
    })
})

describe('the quench', () => {
  const request = {
    blade: { thicknessMm: 3, widthMm: 40, lengthMm: 250 },
    foilMm: 0.05,
    fromC: 1065,
    medium: 'plates' as const,
    plates: { thicknessMm: 25, widthMm: 100, lengthMm: 450 },
    plateStartC: 25,
    contactWPerM2K: 800,
    airWPerM2K: 10,
    martensiteStartC: 180,
    ambientC: 25,
    everyS: 120,
    clampedS: 90,
  }
  bench('one blade between plates, 15 minutes followed', () => void quench({ ...request, count: 1 }))
  bench('fifteen blades one after another', () => void quench({ ...request, count: 15 }))
  const blades = Array.from({ length: 15 }, (_, i) => ({
    ...request.blade,
    id: `A${i + 1}`,
    fromC: 1065,
    martensiteStartC: 180,
  }))
  const pace = { plates: request.plates, plateStartC: 20, contactWPerM2K: 800, ambientC: 25, doorRecoveryS: 55 }
  bench('a pull list of fifteen blades, with rests', () => {
    paceOf({ ...pace, blades, sets: 1, people: 1, airWPerM2K: 35, restWPerM2K: 35 })
  })
})

describe('an edit of 14 blades of three steels', () => {
  const plain = trayOf(gradeOf('X65Cr13'), [])
  const three = {
    ...plain,
    groups: [groupOf(plain), newGroup('h', gradeOf('X105CrMo17'), SHOP), newGroup('k', gradeOf('X153CrMoV12'), SHOP)],
  }
  const at = (thicknessMm: number) =>
    withTray(three, [
      { mark: 'A', count: 6, thicknessMm },
      { mark: 'B', count: 4, groupId: 'h', thicknessMm: 3 },
      { mark: 'C', count: 4, groupId: 'k', thicknessMm: 4 },
    ])
  let edits = 0
  bench('what is suggested follows', () => void followed(at(2 + (edits++ % 40) / 20), SHOP))
  bench('the figures of every bench, other blades each time', () => {
    batchFiguresOf({ batch: at(2 + (edits++ % 400) / 200), shop: SHOP, readings: [], experienceOf: () => null })
  })
  bench('the figures, the same blades again', () => {
    batchFiguresOf({ batch: at(3), shop: SHOP, readings: [], experienceOf: () => null })
  })
})

describe('the day', () => {
  const days = [4, 9, 11].map(dayInstance)
  bench('days of two to five groups, to their best', () => {
    for (const { shop, groups } of days) planDay(ruleProblemOf(shop, groups), { visits: 300_000 })
  })
  bench('a first plan of the same', () => {
    for (const { shop, groups } of days) planDay(ruleProblemOf(shop, groups), { visits: 5_000 })
  })
})

describe('the oven', () => {
  bench('a programme of two hours with a load', () => {
    simulateOven({
      oven: { powerW: 2200, chamberMm: { width: 150, height: 110, depth: 450 }, build: OVEN_BUILDS.medium },
      startC: 20,
      segments: [{ rateCPerH: null, targetC: 1065, holdMin: 30 }],
      load: [{ thicknessMm: 3, widthMm: 40, lengthMm: 250, count: 6, when: { ovenC: 870 } }],
      doorOpen: [],
    })
  })
  bench('a programme of eight hours with a load and six openings', () => {
    simulateOven({
      oven: { powerW: 2200, chamberMm: { width: 150, height: 110, depth: 450 }, build: OVEN_BUILDS.medium },
      startC: 20,
      segments: [
        { rateCPerH: 200, targetC: 760, holdMin: 30 },
        { rateCPerH: null, targetC: 1065, holdMin: 150 },
      ],
      load: [{ thicknessMm: 3, widthMm: 40, lengthMm: 250, count: 6, when: { ovenC: 755 } }],
      doorOpen: Array.from({ length: 6 }, (_, i) => ({ atMin: 330 + 4 * i, seconds: 15 })),
    })
  })
})

describe('a log', () => {
  const model = new OvenModel({
    powerW: 2200,
    chamberMm: { width: 150, height: 110, depth: 450 },
    build: OVEN_BUILDS.medium,
  })
  const points: LogPoint[] = []
  for (let s = 0; s < 5 * 3600; s += 10) {
    model.step(model.indicatedC < 1060 && s < 3 * 3600 ? 1 : 0, false, 10)
    points.push([s / 60, model.indicatedC])
  }
  const text = `time s,temp C\n${Array.from({ length: 100_000 }, (_, i) => `${i},${(20 + i / 100).toFixed(1)}`).join('\n')}\n`
  bench('100,000 lines read', () => {
    const reader = createLogReader()
    reader.push(Papa.parse<string[]>(text, { skipEmptyLines: false }).data)
    reader.finish()
  })
  bench('an oven fitted to five hours', () => {
    fitOven({ powerW: 2200, chamberMm: { width: 150, height: 110, depth: 450 }, build: OVEN_BUILDS.medium }, points)
  })
})
