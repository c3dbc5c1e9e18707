import { describe, expect, it } from 'vitest'
import { GRADES, type Grade } from '../../data/grades'
import { USE_NAMES, USES } from '../../data/uses'
import { targetFor } from '../batch/target-for'
import { routeChanges, whyDifferent } from '../steel/compare-routes'
import { corrosionOf, standsSaltWater } from '../steel/corrosion'
import { knobOf, TALES } from '../steel/folklore'
import { rangeEffects, soakCurve } from '../steel/grade-curves'
import { findGrade } from '../steel/grades'
import { predict } from '../steel/predict'
import type { Route } from '../steel/route'
import { suggestRoute } from '../steel/suggest'
import { tellTale } from '../steel/tell-tale'
import { usualTargetOf, withTemperC } from '../steel/usual'
import { rankGrades } from './rank-steels'

const named = (name: string) => findGrade(name) as Grade
const shop = {
  grades: GRADES,
  edgeDeg: 15,
  thicknessMm: 2.5,
  coldToC: -75,
  ovenMaxC: 1200,
  system: 'metric' as const,
}

describe('which steel', () => {
  it('refuses oil-hardening grades between plates, and says why; with oil it takes them', () => {
    const { refused } = rankGrades({ ...shop, use: 'kitchen' })
    expect(refused.map(r => r.grade.name).sort()).toEqual(
      GRADES.filter(grade => grade.quench.needs !== 'plates')
        .map(grade => grade.name)
        .sort(),
    )
    expect(refused.length).toBeGreaterThanOrEqual(9)
    expect(refused.find(r => r.grade.name === 'C75S')?.why).toMatchObject({ code: 'needs-oil', fast: true })
    expect(rankGrades({ ...shop, use: 'chopper', oil: 'fast-oil' }).refused).toEqual([])
  })

  it('refuses what the oven does not reach', () => {
    const { refused, ranked } = rankGrades({ ...shop, use: 'outdoor', ovenMaxC: 1080 })
    expect(refused.find(r => r.grade.name === 'HS6-5-2C')?.why).toMatchObject({ code: 'oven-too-cold', ovenMaxC: 1080 })
    for (const r of ranked) expect(r.route.austenitizeC).toBeLessThanOrEqual(1080)
  })

  it('puts what stands salt first at sea, and never a rusting grade', () => {
    const { ranked } = rankGrades({ ...shop, use: 'sea' })
    expect(ranked[0]?.grade.corrosionClass).toBe('sea')
    expect(ranked.findIndex(r => r.grade.corrosionClass === 'rusts')).toBeGreaterThan(
      ranked.findLastIndex(r => r.grade.corrosionClass === 'sea'),
    )
  })

  // Each pair by common practice, no published source, with its reason. The edge is the use's own.
  it.each([
    ['kitchen', 'X65Cr13', 'X50CrMoV15', 'the leaner one is not taken to 60 HRC'],
    ['kitchen', 'X65Cr13', 'X153CrMoV12', 'large carbides break out of a thin edge'],
    ['kitchen', 'X65Cr13', 'C75S', 'bare carbon steel rusts in a wet kitchen'],
    ['kitchen', 'X145CrVMo14-4-2', 'X46Cr13', 'it holds its edge much longer, and reaches the hardness'],
    ['fillet', 'X62CrN14', 'X153CrMoV12', 'a fillet knife lives in water'],
    ['fillet', 'X50CrMoV15', 'X105CrMo14-4', 'it is tougher, and thin blades flex'],
    ['outdoor', 'X145CrVMo14-4-2', 'X46Cr13', 'it wears longer at a useful hardness'],
    ['chopper', 'X80CrVMo8-3-1', 'X190CrVMo20-4-1', 'tough, against a steel full of carbide'],
    ['chopper', '51CrV4', 'X210Cr12', 'spring steel takes blows, the 2 % carbon die steel does not'],
    ['chopper', '80CrV2', 'HS6-5-2C', 'tough and cheap, against brittle and hot'],
    ['sea', 'X30CrMoN15-1', 'X65Cr13', 'nitrogen and molybdenum against salt'],
    ['sea', 'X40CrMoVN16-2', 'X50CrMoV15', 'nitrogen and molybdenum against salt'],
    ['sea', 'X62CrN14', 'X153CrMoV12', 'stainless against not quite'],
  ] as const)('for %s, %s comes before %s: %s', (use, better, worse, _why) => {
    const { ranked } = rankGrades({ ...shop, use, edgeDeg: USES[use].edgeDeg, oil: 'fast-oil', ovenMaxC: 1200 })
    const place = (name: string) => ranked.findIndex(r => r.grade.name === name)
    expect(place(better)).toBeLessThan(place(worse))
  })

  it('takes no grade harder than its usual target, and says that it falls short', () => {
    for (const use of USE_NAMES) {
      const { ranked } = rankGrades({ ...shop, use, edgeDeg: USES[use].edgeDeg })
      for (const { grade, hrc } of ranked)
        expect(hrc.mean, `${use} ${grade.name}`).toBeLessThan(grade.usualTarget.maxHrc + 1.5)
    }
    const lean = rankGrades({ ...shop, use: 'kitchen' }).ranked.find(r => r.grade.name === 'X50CrMoV15')
    expect(lean?.why.reaches).toBe('short')
  })

  it('calls nothing fit for salt water but where chromium, molybdenum and nitrogen in solution say so', () => {
    const of = (Cr: number, Mo: number, N: number, temperC: number) =>
      corrosionOf(
        {
          C: 0.2,
          N,
          Cr,
          Mo,
          W: 0,
          V: 0,
          Mn: 0.4,
          Si: 0.5,
          Ni: 0,
          carbideFraction: 0.05,
          mcFraction: 0,
          m6cFraction: 0,
          dissolved: 1,
        },
        [{ atC: temperC, holdMin: 120 }],
      )
    // Nitrogen steel in 24 h of 1 % salt spray: clean with 14.5 % in solution, spotted with 11.5 %, rusted when tempered at 540 °C.
    expect(standsSaltWater(of(14.5, 1, 0.3, 180))).toBe(true)
    expect(standsSaltWater(of(11.5, 1, 0.3, 180))).toBe(false)
    expect(standsSaltWater(of(14.5, 1, 0.3, 540))).toBe(false)
    // 4 % molybdenum helps at 9.5 %, but does not make it stainless.
    expect(of(9.5, 4, 0, 180).index).toBeGreaterThan(of(9.5, 0, 0, 180).index + 0.3)
    for (const grade of GRADES) {
      if (grade.corrosionClass !== 'sea') continue
      const route = suggestRoute(grade, usualTargetOf(grade), shop)
      expect(standsSaltWater(predict(grade, route).corrosion), grade.name).toBe(true)
    }
  })

  // Common practice, no published source: at 14° a side the large carbides of the 12 % chromium tool steel break out of the edge; a
  // fine-grained 13 % chromium stainless steel holds it.
  it('puts a fine-carbide stainless above the coarse 12 % chromium tool steel for a thin kitchen edge; a chopper minds it less', () => {
    const place = (name: string, edgeDeg: number) => {
      const { ranked } = rankGrades({ ...shop, use: 'kitchen', edgeDeg })
      return ranked.findIndex(r => r.grade.name === name)
    }
    expect(place('X65Cr13', 14)).toBeLessThan(place('X153CrMoV12', 14))
    const edge = (edgeDeg: number) =>
      rankGrades({ ...shop, use: 'kitchen', edgeDeg }).ranked.find(r => r.grade.name === 'X153CrMoV12')?.merits.edge ??
      0
    expect(edge(20)).toBeGreaterThan(edge(14))
  })

  it('is in the order that its parts and the maker’s weights give', () => {
    const only = (merit: 'wear' | 'corrosion' | 'toughness' | 'edge') =>
      rankGrades({ ...shop, use: 'outdoor', weights: { edge: 0, corrosion: 0, wear: 0, toughness: 0, [merit]: 1 } })
        .ranked
    for (const merit of ['wear', 'toughness', 'edge', 'corrosion'] as const) {
      const [best] = only(merit)
      const last = only(merit).at(-1)
      expect(best?.merits[merit] ?? 0).toBeGreaterThan(last?.merits[merit] ?? 1)
      for (const r of only(merit))
        for (const value of [...Object.values(r.merits), r.reach]) {
          expect(value).toBeGreaterThanOrEqual(0)
          expect(value).toBeLessThanOrEqual(1)
        }
    }
    expect(
      rankGrades({ ...shop, use: 'outdoor', weights: { edge: 0, corrosion: 0, wear: 0, toughness: 0 } }).ranked[0]
        ?.score,
    ).toBe(0)
  })

  it('gives each its reasons, in order of score, without cold in a shop that has none', () => {
    for (const use of USE_NAMES) {
      const { ranked } = rankGrades({ ...shop, use, coldToC: null })
      expect(ranked.map(r => r.score)).toEqual(ranked.map(r => r.score).sort((a, b) => b - a))
      for (const r of ranked) {
        expect(r.why).toMatchObject({ target: r.target })
        expect(r.route.cold).toBeNull()
      }
    }
  })

  it('a finer edge is wanted harder, a stouter one softer', () => {
    expect(targetFor('kitchen', 10).min).toBeGreaterThan(targetFor('kitchen', 20).min)
  })
})

describe('two routes of one hardness', () => {
  const grade = named('X65Cr13')
  const low = suggestRoute(grade, usualTargetOf(grade), shop)
  const of = (name: string, route: Route) => ({ name, route, prediction: predict(grade, route) })

  it('differ in rust by the high temper, and it says so', () => {
    const said = whyDifferent(of('A', low), of('B', withTemperC(low, 490)))
    expect(said).toContainEqual({ code: 'robbed', worse: 'second' })
    expect(whyDifferent(of('A', low), of('B', { ...low, cold: null }))).toContainEqual({ code: 'same-rust' })
  })

  it('of a steel that is not stainless nothing is said to rust sooner', () => {
    const tool = named('HS6-5-2C')
    const route = suggestRoute(tool, usualTargetOf(tool), shop)
    const routeOf = (name: string, atC: number) => {
      const tempered = withTemperC(route, atC)
      return { name, route: tempered, prediction: predict(tool, tempered) }
    }
    const said = whyDifferent(routeOf('A', 200), routeOf('B', 560)).map(difference => difference.code)
    expect(said).toContain('not-stainless')
    expect(said).not.toContain('robbed')
    expect(routeOf('B', 560).prediction.cautions.map(c => c.code)).not.toContain('robbed-chromium')
  })

  it('a version says what changed', () => {
    expect(routeChanges(low, low)).toEqual([])
    const changes = routeChanges(low, { ...withTemperC(low, 210), cold: null })
    expect(changes).toContainEqual({ what: 'cold', from: -75, to: null })
    expect(changes).toContainEqual({ what: 'temper-temperature', round: 1, from: low.tempers[0]?.atC, to: 210 })
  })
})

describe('folklore, on every grade', () => {
  it.each(TALES)('%s: figures are finite along the whole knob', tale => {
    for (const grade of GRADES) {
      const knob = knobOf(tale, grade)
      for (const at of [knob.min, knob.first, knob.max]) {
        const { figures, seen } = tellTale(tale, grade, at)
        expect(Object.values(seen).every(v => typeof v !== 'number' || Number.isFinite(v))).toBe(true)
        for (const f of figures) for (const [, v] of f.along) expect(Number.isFinite(v)).toBe(true)
      }
    }
  })

  it('a low temper moves hardness and leaves chromium alone (fact of the trade)', () => {
    for (const grade of GRADES) {
      const [hardness, chromium] = tellTale('hardness-rust', grade, 200).figures
      const span = (f: typeof hardness) => {
        const values = f?.along.map(([, v]) => v) ?? []
        return Math.max(...values) - Math.min(...values)
      }
      expect(span(hardness)).toBeGreaterThan(1)
      expect(span(chromium)).toBe(0)
    }
  })
})

describe('curves of a grade', () => {
  it('cold moves the best soak of X65Cr13 up (fact of the trade)', () => {
    const points = soakCurve(named('X65Cr13'), 15)
    const best = (pick: (p: (typeof points)[number]) => number) =>
      points.reduce((a, b) => (pick(b) > pick(a) ? b : a)).atC
    expect(best(p => p.nitrogen)).toBeGreaterThan(best(p => p.noCold))
    for (const p of points) expect(p.nitrogen).toBeGreaterThanOrEqual(p.dryIce - 1e-9)
  })

  it('carbon matters most where no carbide is left to give it, and little under the chart of a carbide-rich steel', () => {
    const effect = (name: string) => {
      const grade = named(name)
      const found = rangeEffects(grade, suggestRoute(grade, usualTargetOf(grade), shop)).find(e => e.element === 'C')
      return Math.abs((found?.hrcAtMost ?? 0) - (found?.hrcAtLeast ?? 0))
    }
    expect(effect('X65Cr13')).toBeGreaterThan(3 * effect('X153CrMoV12'))
  })
})
