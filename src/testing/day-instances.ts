import type { RuleGroup, RuleShop } from '../core/day/rule-problem'
import { createRandom } from '../core/numeric/random'
import { daysOf, type KindName, kind, REFERENCE_KINDS, REFERENCE_SHOP } from './day-reference'

export interface DayInstance {
  readonly shop: RuleShop
  readonly groups: readonly RuleGroup[]
}

const KIND_NAMES = Object.keys(REFERENCE_KINDS) as KindName[]

/** A small made-up day: two to five kinds of blades, one oven or two, limits of an hour to ten. The same for a seed. */
export function dayInstance(seed: number): DayInstance {
  const random = createRandom(9000 + seed)
  const one = random.uniform() < 0.25
  const count = 2 + (seed % 4)
  const late = one ? [600, 900] : [60, 120, 240]
  const groups = Array.from({ length: count }, (_, i) => {
    const group = kind(random.pick(KIND_NAMES), 1 + Math.floor(random.uniform() * 4), random.pick(late), `g${i}`)
    const deadlineMin = random.uniform() < 0.15 ? 1440 * random.pick([1, 2]) + 1020 : null
    return { ...group, deadlineMin }
  })
  return {
    shop: {
      ...REFERENCE_SHOP,
      temperOven: one ? null : REFERENCE_SHOP.temperOven,
      plates: { ...REFERENCE_SHOP.plates, sets: random.uniform() < 0.3 ? 2 : 1 },
      coldBoxPackets: random.pick([4, 8]),
      work: random.uniform() < 0.7 ? daysOf(480, 1020) : daysOf(420, 840),
    },
    groups,
  }
}

/**
 * A small made-up day of three loads with long pulls, in which a helper is there for some hours: there hands are what all waits for. The
 * same for a seed.
 */
export function helperInstance(seed: number): DayInstance {
  const random = createRandom(7000 + seed)
  const kinds: readonly KindName[] = seed % 2 === 0 ? ['C', 'D', 'E', 'F'] : ['E']
  const groups = Array.from({ length: 3 }, (_, i) =>
    kind(random.pick(kinds), 3 + Math.floor(random.uniform() * 3), random.pick([30, 60, 120]), `g${i}`),
  )
  const opens = random.pick([420, 480])
  const closes = opens + random.pick([360, 480, 540])
  const from = opens + random.pick([0, 60, 120])
  return {
    shop: {
      ...REFERENCE_SHOP,
      plates: { sets: 5, pressMin: random.pick([60, 90]), handleMin: 1, maxRun: 4, restMin: 10 },
      coldBoxPackets: random.pick([4, 8]),
      work: daysOf(opens, closes),
      helper: daysOf(from, random.pick([from + 120, closes])),
    },
    groups,
  }
}
