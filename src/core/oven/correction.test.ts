import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CORRECTION } from '../../data/correction'
import { newOven } from '../shop/defaults'
import {
  correctionAt,
  correctionWorking,
  driftedK,
  driftOf,
  handAgainstEvidence,
  keyedC,
  observationsOf,
  offsetLine,
  reachC,
} from './correction'
import type { OvenEvidence, OvenSurvey } from './evidence'
import { surveyOf, zoneAt } from './survey'

const sensor = (trueC: number, indicatedC: number, at: string, sdK = 1.5): OvenEvidence => ({
  id: `${at}${indicatedC}`,
  kind: 'sensor',
  at,
  trueC,
  indicatedC,
  sdK,
})
const oven = (evidence: OvenEvidence[]) => ({
  ...newOven('o', 'Oven', 'medium'),
  correctionFrom: 'evidence' as const,
  evidence,
})
const DAY = '2026-03-01T08:00:00.000Z'

describe('the correction of an oven', () => {
  // Common practice, no published source: one maker’s oven set 11 °C low does what others do at 1066 °C.
  it('keys 11 °C less into an oven whose blades are 11 °C hotter than it shows', () => {
    const evidence = [800, 950, 1055, 1066].map(c => sensor(c + 11, c, DAY, 1))
    expect(keyedC(oven(evidence), 1066)).toBeCloseTo(1055, 0)
  })

  it('follows a display that errs more the hotter it is', () => {
    const at = oven([sensor(402, 400, DAY), sensor(808, 800, DAY), sensor(1074, 1060, DAY)])
    expect(correctionAt(at, 1060)).toBeLessThan(-11)
    expect(correctionAt(at, 400)).toBeGreaterThan(-5)
  })

  it('is the one set by hand until evidence is asked to speak', () => {
    const byHand = { ...oven([sensor(1020, 1000, DAY)]), correctionFrom: 'hand' as const, correctionC: -6 }
    expect(correctionAt(byHand, 1000)).toBe(-6)
  })

  it('says when what is keyed by hand is not what was measured, and keeps quiet within its band', () => {
    const hand = (correctionC: number, sdK: number) => ({
      ...oven([sensor(1020, 1000, DAY, sdK)]),
      correctionFrom: 'hand' as const,
      correctionC,
    })
    expect(handAgainstEvidence(hand(0, 1), 1000)).toBeGreaterThan(15)
    expect(handAgainstEvidence(hand(-20, 1), 1000)).toBeNull()
    expect(handAgainstEvidence(hand(0, 20), 1000)).toBeNull()
    expect(handAgainstEvidence(oven([sensor(1020, 1000, DAY)]), 1000)).toBeNull()
  })

  it('reads each kind of evidence for what it says, oldest first', () => {
    const survey: OvenSurvey = {
      id: 's',
      kind: 'survey',
      at: '2026-01-01T08:00:00.000Z',
      setC: 1000,
      indicatedC: 1002,
      sdK: 2,
      points: [1008, 1010, 1012].map(c => ({ acrossMm: 0, upMm: 0, inMm: 0, c })),
    }
    const hardness: OvenEvidence = {
      id: 'h',
      kind: 'hardness',
      at: '2026-02-01T08:00:00.000Z',
      atC: 1040,
      offsetK: 12,
      sdK: 6,
      readings: 18,
    }
    expect(observationsOf([sensor(1020, 1000, DAY, 1.5), hardness, survey])).toEqual([
      // The mean of 1008, 1010 and 1012 less what was shown; its scatter of 2 over √3 joins the couple's own 2.
      {
        id: 's',
        kind: 'survey',
        at: survey.at,
        atC: 1002,
        offsetK: 8,
        sdK: expect.closeTo(Math.hypot(2, 2 / Math.sqrt(3)), 9),
      },
      { id: 'h', kind: 'hardness', at: hardness.at, atC: 1040, offsetK: 12, sdK: 6 },
      { id: `${DAY}1000`, kind: 'sensor', at: DAY, atC: 1000, offsetK: 20, sdK: 1.5 },
    ])
  })

  it('is shown by kind, each by itself: with its sign, how many it rests on, and how sure that is', () => {
    const evidence = [sensor(1020, 1000, DAY, 1), sensor(1021, 1001, DAY, 1)]
    const [line, ...others] = correctionWorking({ evidence }, 1000)
    expect(others).toEqual([])
    expect(line).toMatchObject({ code: 'correction-by', unit: 'K', params: { kind: 'sensor', count: 2 } })
    expect(line?.value).toBeLessThan(-18)
    expect(line?.value).toBeCloseTo(-offsetLine(observationsOf(evidence))(1000).meanK, 9)
    expect(correctionWorking({ evidence: [] }, 1000)).toEqual([])
  })

  it('leaves room below the oven’s limit for what is added: a limit of 1200 with 15 added reaches 1185', () => {
    const hot = (correctionC: number) => ({
      ...oven([]),
      correctionFrom: 'hand' as const,
      correctionC,
      maxC: 1200,
    })
    expect(reachC(hot(15))).toBe(1185)
    expect(reachC(hot(-11))).toBe(1211)
  })

  it('without evidence is what was set by hand, though evidence was asked to speak', () => {
    expect(correctionAt({ ...oven([]), correctionC: 4 }, 900)).toBe(4)
  })

  it('trusts an old measurement less than a new one: a year adds 6 K to what it is known by', () => {
    const line = offsetLine(
      observationsOf([sensor(1010, 1000, '2025-03-01T08:00:00.000Z', 2), sensor(1020, 1000, DAY, 2)]),
    )
    // Two normal observations and the prior, weighted by hand: 1/(4 + 36), 1/4 and 1/100.
    const [old, fresh, prior] = [1 / (4 + 36 * (365 / 365.25)), 1 / 4, 1 / 100]
    expect(line(1000).meanK).toBeCloseTo((10 * old + 20 * fresh) / (old + fresh + prior), 6)
    expect(line(1000).sdK).toBeCloseTo(Math.sqrt(1 / (old + fresh + prior)), 6)
  })

  it('is the textbook posterior of one normal observation', () => {
    const { meanK, sdK } = offsetLine([{ id: 'a', kind: 'sensor', at: DAY, atC: 1000, offsetK: 8, sdK: 4 }])(1000)
    // Normal mean with known variance, Gelman et al., Bayesian Data Analysis, eq. 2.10, from memory.
    const weight = 1 / 16 / (1 / 16 + 1 / CORRECTION.priorSdK ** 2)
    expect(meanK).toBeCloseTo(8 * weight, 6)
    expect(sdK).toBeCloseTo(Math.sqrt(1 / (1 / 16 + 1 / CORRECTION.priorSdK ** 2)), 6)
  })

  it('trusts the newer of two that disagree, and shows the drift', () => {
    const evidence = [sensor(1000, 1000, '2025-03-01T08:00:00.000Z'), sensor(1010, 1000, DAY)]
    expect(offsetLine(driftObservations(evidence))(1000).meanK).toBeGreaterThan(7)
    const drift = driftOf(evidence, 1000)
    expect(drift.map(d => Math.round(d.meanK))).toEqual([0, expect.any(Number)])
    expect((drift[1]?.meanK ?? 0) - (drift[0]?.meanK ?? 0)).toBeGreaterThan(7)
  })

  it('is never less sure for one more piece of evidence of the same day', () => {
    const one = fc.record({
      atC: fc.integer({ min: 200, max: 1200 }),
      offsetK: fc.integer({ min: -30, max: 30 }),
      sdK: fc.integer({ min: 1, max: 15 }),
    })
    fc.assert(
      fc.property(
        fc.array(one, { minLength: 1, maxLength: 8 }),
        one,
        fc.integer({ min: 200, max: 1200 }),
        (some, more, c) => {
          const as = (list: typeof some) =>
            list.map((o, i) => ({ ...o, id: String(i), kind: 'sensor' as const, at: DAY }))
          expect(offsetLine(as([...some, more]))(c).sdK).toBeLessThanOrEqual(offsetLine(as(some))(c).sdK + 1e-9)
        },
      ),
    )
  })
})

const driftObservations = (evidence: OvenEvidence[]) =>
  evidence.flatMap(e =>
    e.kind === 'sensor'
      ? [{ id: e.id, kind: e.kind, at: e.at, atC: e.indicatedC, offsetK: e.trueC - e.indicatedC, sdK: e.sdK }]
      : [],
  )

describe('a survey', () => {
  const survey: OvenSurvey = {
    id: 's',
    kind: 'survey',
    at: DAY,
    setC: 1060,
    indicatedC: 1060,
    sdK: 2,
    points: [
      { acrossMm: 30, upMm: 50, inMm: 40, c: 1046 },
      { acrossMm: 120, upMm: 50, inMm: 40, c: 1048 },
      { acrossMm: 30, upMm: 50, inMm: 400, c: 1064 },
      { acrossMm: 120, upMm: 50, inMm: 400, c: 1066 },
    ],
  }

  // Class 5 is ± 14 K, AMS 2750, from memory.
  it('gives mean, extremes and the class that holds', () => {
    expect(surveyOf(survey)).toMatchObject({ meanC: 1056, hottestK: 6, coldestK: -14, withinK: 14 })
  })

  it('maps the cold door and the hot back, and says nothing far away', () => {
    expect(zoneAt(survey, { acrossMm: 30, upMm: 50, inMm: 40 })).toBeCloseTo(-10, -0.5)
    expect(zoneAt(survey, { acrossMm: 75, upMm: 50, inMm: 400 })).toBeGreaterThan(6)
    expect(Math.abs(zoneAt(survey, { acrossMm: 75, upMm: 50, inMm: 1400 }))).toBeLessThan(0.5)
  })
})

describe('an oven that drifted', () => {
  const before = [sensor(1000, 1000, DAY), sensor(1052, 1050, '2026-03-08T08:00:00.000Z')]
  const later = (trueC: number, at = '2026-04-01T08:00:00.000Z') => driftedK([...before, sensor(trueC, 1000, at)])

  it('is told by a measurement that those before it leave no room for', () => {
    // About 1 K is known of it by two thermometer checks of 1.5 K, 1.5 K more are the check's own: 12 K are no scatter, 2 K are.
    expect(later(1012)).toBeCloseTo(12, -1)
    expect(later(988)).toBeLessThan(-10)
    expect(later(1002)).toBeNull()
  })

  it('has had time to move where the last one is years ago', () => {
    expect(later(1012, '2029-03-08T08:00:00.000Z')).toBeNull()
  })

  it('is not told by one measurement, or by none', () => {
    expect(driftedK([])).toBeNull()
    expect(driftedK([sensor(1030, 1000, DAY)])).toBeNull()
  })
})
