import { describe, expect, it } from 'vitest'
import { trialOf, withTrial } from '../core/batch/trial'
import { createRandom } from '../core/numeric/random'
import { rateOf } from '../core/numeric/rate'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { PROTECTION } from '../data/protection'
import { trayOfBlades } from '../testing/run'
import { gradeOf, groupOf } from '../testing/tray'
import { checkedWords, notACertificate } from './check'
import { hoursWords, perGoodWords, quoteWords } from './cost'
import { bestWords, nextWords, rateWords, saltWords, testWords } from './edge-tests'
import { holeWords, skinWords } from './finish-sizes'
import { annealWords, hardenedAgainWords } from './re-harden'
import { edgeCounts, hardnessList, routeLine, soakedRange } from './side-by-side'
import { speakerOf } from './speaker'
import { lotWords, outcomeWords, powerWords, trialWords, twoThingsWords } from './trial'

const say = speakerOf('imperial')

describe('salt water, in words', () => {
  const passive = {
    chromiumInSolution: 12.94,
    stainless: true,
    index: 15.1,
    temperPenalty: 0.1,
    slowCoolingPenalty: 0.2,
  }

  it('stands beside the film, the index and what of it is lost: one loss on what the other left', () => {
    const said = saltWords(['clean', 'stains', 'clean'], passive)
    for (const part of [
      '2 of 3 blades stayed clean',
      '12.9 % chromium',
      'a film that protects it',
      'index 15.1',
      '28 %',
    ])
      expect(said).toContain(part)
  })

  it('says where no film forms, and nothing of a loss there is none of', () => {
    const said = saltWords(['pits'], { ...passive, stainless: false, temperPenalty: 0, slowCoolingPenalty: 0 })
    expect(said).toContain('it rusts, whatever else is in it')
    expect(said).not.toContain('take about')
  })
})

describe('an edge test, in words', () => {
  const test = { id: 't', at: '2026-05-04T10:00:00.000Z', kind: 'bone', edgeDeg: 20, result: 'chips' } as const

  it('says how much, at which angle, what the edge did, where and how deep', () => {
    expect(testWords({ ...test, amount: 30, where: 'belly', depthMm: 0.254 }, say)).toBe(
      'Bone, chopped, 30 blows at 20° a side: chips in the belly, 0.0100 in deep',
    )
    expect(testWords({ ...test, behindMm: 0.254, grit: 1000 }, say)).toBe(
      'Bone, chopped at 20° a side (0.0100 in behind the edge, grit 1000): chips',
    )
    expect(testWords({ ...test, kind: 'own', name: 'Tin lids', result: 'holds' }, say)).toBe(
      'Tin lids at 20° a side: holds',
    )
  })

  it('gives rates with what so few can tell', () => {
    expect(rateWords({ holds: rateOf(3, 5), rolls: rateOf(0, 5), chips: rateOf(2, 5) }, 5)).toMatch(
      /^Of 5 edges: 60 % held \(23 % to 88 %\), 0 % rolled \(0 % to 43 %\), 40 % chipped .*what so few tell with 95 % confidence\.$/,
    )
  })

  const next = { hrc: 59.4, chances: { holds: 0.7, rolls: 0.1, chips: 0.2 }, bestHolds: 0.72, gain: 0.04 }
  const belief = { best: { hrc: 59, fromHrc: 58.4, toHrc: 59.7 }, next, tests: 6, priorSdHrc: 1.6 as const, band: [] }

  it('says what holds, how sure that is, and what to try for which reason', () => {
    expect(bestWords(belief, 15)).toBe(
      'From 6 results: at 15° a side an edge of this steel holds best near 59.0 HRC (58.4 to 59.7 HRC at 90 %).',
    )
    expect(bestWords({ ...belief, tests: 0 }, 15)).toMatch(/No edge of this steel was tested yet/)
    expect(bestWords({ ...belief, best: { hrc: 59, fromHrc: 57, toHrc: 61 } }, 15)).toMatch(/still wide/)
    expect(nextWords(belief)).toMatch(/whether edges chip there already\. Four tested edges .* about 4 %\.$/)
    expect(nextWords({ ...belief, next: { ...next, hrc: 59.05, gain: 0 } })).toMatch(
      /That is the best estimate so far\. More tests will hardly change it\.$/,
    )
  })
})

describe('what a blade costs, in words', () => {
  const money = speakerOf('metric', 'EUR')

  it('names the lost blades, and where the hours went', () => {
    const cost = { begun: 9, good: 8, lostShare: 5.2 } as Parameters<typeof perGoodWords>[0]
    expect(perGoodWords(cost, money)).toMatch(/^8 of 9 came out good; .*5\.20 of it is for those that did not\.$/)
    expect(perGoodWords({ ...cost, good: 9, lostShare: 0 }, money)).toBe('Each of 9 blades; none was lost.')
    const hours = { prepare: 0.5, wrap: 0, run: 1.25, temper: 0.4, finish: 6 }
    expect(hoursWords({ hours, runMeasured: true })).toBe(
      '6.0 h finishing; 1.3 h the hot run, as the run took; 0.5 h before the heat; 0.4 h tempers',
    )
    expect(quoteWords({ blades: 6, begin: 7, perBlade: 48, from: 40, to: 57 }, money)).toMatch(/Begin with 7/)
  })
})

describe('a re-hardening and a trial, in words', () => {
  it('gives the anneal as it is keyed, in the shop’s units, and warns of a third time', () => {
    const anneal = { atC: 900, holdMin: 120, coolCPerH: 15, downToC: 650, source: '' }
    const shop = { ...DEFAULT_WORKSHOP, prices: { ...PROTECTION.prices, hour: 20, kWh: 0.5 } }
    expect(annealWords(anneal, shop, say)).toMatch(
      /to 1652 °F.*hold 2 h, then 27 °F per hour down to 1202 °F.*taken for 19 h/,
    )
    expect(annealWords(anneal, { prices: undefined }, say)).not.toMatch(/about/)
    expect(hardenedAgainWords(['A1', 'B'])).toMatch(/^A1 and B: this would be the third hardening/)
  })

  it('says what is changed, what so few can show, and what came of it', () => {
    const batch = trayOfBlades(4)
    const { route, id } = groupOf(batch)
    const hotter = { ...route, austenitizeC: route.austenitizeC + 15 }
    const tried = withTrial(batch, id, hotter, { random: createRandom(1), newId: () => crypto.randomUUID() })
    const trial = trialOf(tried)
    if (!trial) throw new Error('trial')
    expect(trialWords(trial, say)).toMatch(/^Tried beside the usual X65Cr13: soak \d{4} °F to \d{4} °F\.$/)
    expect(trialWords({ ...trial, changes: [] }, say)).toMatch(/same route/)
    expect(twoThingsWords(trial.changes, say)).toMatch(/nobody can tell which/)
    expect(lotWords(2)).toMatch(/^Half of each line of the tray, 2 blades in all/)
    expect(powerWords({ each: 4, shownHrc: 1.2, expectedHrc: 0.5, needed: 17 })).toBe(
      '4 blades in each half show a difference of 1.2 HRC or more, four times in five. The model expects +0.5 HRC. That takes 17 in each half.',
    )
    expect(powerWords({ each: 4, shownHrc: 1.2, expectedHrc: 1.4, needed: 4 })).toMatch(/That is enough\.$/)
    expect(powerWords({ each: 1, shownHrc: Number.POSITIVE_INFINITY, expectedHrc: 0, needed: 1000 })).toMatch(
      /shows nothing.*not worth the blades/,
    )
    expect(outcomeWords({ difference: 0.5, from: 0.2, to: 0.8, p: 0.01 })).toBe(
      'The change makes +0.5 HRC (+0.2 to +0.8 HRC at 95 %).',
    )
    expect(outcomeWords({ difference: 0.3, from: -0.2, to: 0.8, p: 0.2 })).toMatch(/^Not shown yet: \+0\.3 HRC/)
    expect(outcomeWords(null)).toMatch(/at least two blades/)
  })
})

describe('sizes in finishing, in words', () => {
  it('say what is still to be done, in the shop’s units', () => {
    expect(holeWords({ code: 'hone', byMm: 0.0508 }, -0.0254, say)).toBe(
      'Hone 0.0020 in out: the gauge does not go in yet. The heat made it 0.0010 in tighter.',
    )
    expect(holeWords({ code: 'fits', overMm: 0.01 }, null, say)).toBe('Fits its gauge.')
    expect(holeWords({ code: 'wide', byMm: 0.0254 }, 0, say)).toMatch(/^0\.0010 in too wide/)
    expect(holeWords(null, null, say)).toBe('not measured')
    expect(skinWords({ skinMm: 0.127, leftMm: null }, say)).toBe('0.0050 in a side to grind off')
    expect(skinWords({ skinMm: 0.127, leftMm: 0.0508 }, say)).toBe('0.0020 in of 0.0050 in a side still soft')
    expect(skinWords({ skinMm: 0.127, leftMm: 0 }, say)).toBe('gone (0.0050 in a side)')
  })
})

describe('two batches and a certificate, in words', () => {
  it('lays a route in a line, and says what is not known', () => {
    const { route } = groupOf(trayOfBlades(1))
    expect(routeLine({ ...route, cold: null, tempers: [] }, say)).toMatch(/^\d{4} °F for .*; no cold; no temper$/)
    expect([soakedRange(null), soakedRange({ from: 20, to: 20 }), soakedRange({ from: 19, to: 21.5 })]).toEqual([
      'not run with the application',
      '20.0 min',
      '19.0 to 21.5 min',
    ])
    expect([hardnessList([]), edgeCounts({ holds: 0, rolls: 0, chips: 0 }, null)]).toEqual(['not read', 'not proved'])
    expect(edgeCounts({ holds: 3, rolls: 1, chips: 2 }, 16.5)).toBe('3 held, 1 rolled, 2 chipped at 17° a side')
    expect(gradeOf('X65Cr13').anneal.atC).toBeGreaterThan(700)
  })

  it('says whether paper and file are the same, and what a wrong file is', () => {
    expect(checkedWords({ kind: 'same', serial: '26-014', blade: 'A1' })).toMatch(/the same.*A1, 26-014/)
    expect(checkedWords({ kind: 'other' })).toMatch(/not the one/)
    expect(checkedWords({ kind: 'no-code' })).toMatch(/32 signs/)
    expect(notACertificate('x.json', [{ version: 3 }])).toMatch(/earlier version/)
    expect(notACertificate('x.json', null)).toMatch(/not a certificate’s file/)
  })
})
