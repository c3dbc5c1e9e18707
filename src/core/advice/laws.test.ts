import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import type { UseName } from '../../data/uses'
import { createRandom } from '../numeric/random'
import { predict } from '../steel/predict'
import type { Route } from '../steel/route'
import { usualCold } from '../steel/route'
import { advise, temperLimitsOf } from './advise'
import type { AdviceOption, AdviceRequest } from './option'
import { firstReason } from './order'

/** Rules of sound advice, as a maker would put them: each a rule of the trade, common practice, no published source. */
const random = createRandom(20)

/** A blade of any grade on a plausible route, read somewhere about what it should be, with any target and symptom. */
function someCase(): AdviceRequest {
  const steel = random.pick(GRADES)
  const { minC, maxC } = steel.austenitize
  const temperC = steel.temper.minC + random.uniform() * (steel.temper.maxC - steel.temper.minC)
  const tempers = random.pick([0, 1, 2, 2, 3])
  const route: Route = {
    austenitizeC: minC + random.uniform() * (maxC - minC),
    soakMin: steel.soak.maxMin,
    quenchedToC: 25,
    cold: random.uniform() < 0.4 ? usualCold(-75) : null,
    tempers: Array.from({ length: tempers }, () => ({ atC: temperC, holdMin: 120 })),
  }
  const due = predict(steel, route).finalHrc.mean
  const { minHrc } = steel.usualTarget
  const min = minHrc + random.normal(0, 1)
  return {
    steel,
    route,
    reading: {
      mean: due + random.normal(0, 1.5),
      u95: 0.3 + random.uniform(),
      stage: tempers === 0 ? (route.cold ? 'after-cold' : 'as-quenched') : `temper-${tempers as 1 | 2 | 3}`,
    },
    target: { min, max: min + 1.5 },
    symptom: random.pick([null, null, 'chips' as const, 'rolls' as const]),
    use: random.pick<UseName | undefined>([undefined, 'kitchen', 'sea', 'chopper']),
    can: {
      coldToC: random.pick([null, -75, -196]),
      anneal: true,
      system: random.pick(['metric' as const, 'imperial' as const]),
    },
  }
}

const cases = Array.from({ length: process.env.ENDURE ? 1000 : 150 }, () => {
  const request = someCase()
  return { request, options: advise(request) }
})
const told = ({ request }: (typeof cases)[number]) =>
  JSON.stringify({ ...request, steel: 'name' in request.steel && request.steel.name })
const isDone = (option: AdviceOption) => option.kind !== 'accept' && option.kind !== 'scrap'
const firstOf = (one: (typeof cases)[number]) => one.options[0] as AdviceOption

describe('sound advice, on random blades of every grade', () => {
  it('never keeps a blade as it is where another way has a clearly better chance', () => {
    for (const one of cases) {
      const first = firstOf(one)
      if (first.kind !== 'accept') continue
      // Two days of hardening again, or rust, are not worth a miss of a few tenths.
      const near = first.inTargetProbability >= 0.05 && Math.abs(first.missHrc) < 0.5
      const others = one.options.filter(
        option => isDone(option) && !(near && (option.kind === 'anneal-and-reharden' || option.why.robsChromium)),
      )
      const best = Math.max(0, ...others.map(option => option.inTargetProbability))
      // Under one in twenty against one in five and more; and twice as likely, by fifteen in a hundred or more.
      if (first.inTargetProbability < 0.05) expect(best, told(one)).toBeLessThan(0.2)
      expect(best, told(one)).toBeLessThan(
        Math.max(first.inTargetProbability + 0.15, 2 * first.inTargetProbability) + 1e-9,
      )
    }
  })

  it('and never puts a worse chance before keeping it', () => {
    for (const one of cases) {
      const kept = one.options.find(option => option.kind === 'accept')?.inTargetProbability ?? 0
      if (firstOf(one).kind !== 'scrap')
        expect(firstOf(one).inTargetProbability, told(one)).toBeGreaterThanOrEqual(kept - 1e-9)
    }
  })

  it('sends no stainless blade over the secondary peak while another way reaches and rust matters, and says what it loses', () => {
    for (const one of cases) {
      for (const option of one.options) {
        if (option.why.robsChromium) expect(option.why.lostCorrosion, told(one)).toBeGreaterThan(0)
      }
      if (!firstOf(one).why.robsChromium || one.request.use === 'chopper') continue
      const others = one.options.filter(option => isDone(option) && !option.why.robsChromium)
      const kept = one.options.find(option => option.kind === 'accept')?.inTargetProbability ?? 0
      // What does worse than leaving the blade alone reaches nothing.
      for (const other of others) expect(other.inTargetProbability, told(one)).toBeLessThan(Math.max(0.2, kept))
    }
  })

  it('lets the symptom rule every way: what rolls is never made softer, what chips never harder nor tempered at the peak', () => {
    for (const one of cases) {
      for (const option of one.options.filter(isDone)) {
        // Fresh martensite is tempered whatever the edge does.
        if (option.kind === 'temper' && one.request.route.tempers.length === 0) continue
        if (one.request.symptom === 'rolls') expect(option.why.changeHrc, told(one)).toBeGreaterThanOrEqual(0)
        if (one.request.symptom === 'chips') expect(option.why.changeHrc, told(one)).toBeLessThanOrEqual(0)
        if (one.request.symptom === 'chips') expect(option.why.robsChromium, told(one)).toBe(false)
      }
    }
  })

  it('tempers within the grade’s limits: high-speed steel never below its range, and to 600 °C', () => {
    for (const one of cases) {
      const { min, max } = temperLimitsOf(one.request.steel)
      for (const option of one.options) {
        if (option.kind !== 'temper') continue
        // A setting of the dial may lie half a step outside.
        expect(option.temper?.atC, told(one)).toBeGreaterThanOrEqual(min - 5)
        expect(option.temper?.atC, told(one)).toBeLessThanOrEqual(max + 5)
      }
    }
    expect(temperLimitsOf({ composition: { C: 0.9, Cr: 4.1, Mo: 5, W: 6.3, V: 1.9 } })).toEqual({ min: 540, max: 600 })
  })

  it('offers no cold to a grade whose sheet sees no use in it, and names the oil of one that needs oil', () => {
    for (const one of cases) {
      const { steel } = one.request
      if (!('nominal' in steel)) continue
      if (steel.cold.advice === 'no use')
        expect(
          one.options.some(option => option.kind === 'cold'),
          told(one),
        ).toBe(false)
      const again = one.options.find(option => option.kind === 'anneal-and-reharden')
      if (again) expect(again.oil).toBe(steel.quench.needs === 'plates' ? null : steel.quench.needs)
    }
  })

  it('says why the first is first, and which reading would change that: asked with it, another is first', () => {
    let turned = 0
    for (const one of cases.slice(0, 60)) {
      const reason = firstReason(one.options, one.request)
      if (!reason) throw new Error(told(one))
      expect(reason.chance).toBe(one.options.find(option => option.kind !== 'scrap')?.inTargetProbability)
      if (reason.turns) {
        turned++
        expect(reason.turns.to).not.toBe(firstOf(one).kind)
        expect(Math.abs(reason.turns.readingHrc - one.request.reading.mean)).toBeLessThanOrEqual(3.001)
      }
    }
    expect(turned).toBeGreaterThan(10)
  })
})
