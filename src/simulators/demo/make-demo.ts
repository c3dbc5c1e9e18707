import { stateOf, withState } from '../../core/batch/blade-state'
import { routeUpTo, stagesOf } from '../../core/batch/hardness-stages'
import { sentBack } from '../../core/batch/re-harden'
import { bladesOf } from '../../core/batch/tray'
import { editBlade } from '../../core/batch/tray-edit'
import type { WorkshopData } from '../../core/files/exchange'
import { emptyData } from '../../core/files/pieces'
import { newGroup } from '../../core/new-batch/new-batch'
import { compareInstants } from '../../core/numeric/instants'
import { createRandom, type Random } from '../../core/numeric/random'
import type { Batch, BatchGroup } from '../../core/shop/batch'
import { partBatch } from '../../core/shop/batch-records'
import type { Blade, Line } from '../../core/shop/blade'
import { DEFAULT_WORKSHOP } from '../../core/shop/defaults'
import type { Reading } from '../../core/shop/reading'
import type { Recipe } from '../../core/shop/recipe'
import type { Run } from '../../core/shop/run'
import { nextSerials } from '../../core/shop/serial'
import type { Tester, Workshop } from '../../core/shop/workshop'
import { findGrade, gradeOf } from '../../core/steel/grades'
import { predict } from '../../core/steel/predict'
import { PROTECTION } from '../../data/protection'
import { SETUP_STEPS } from '../../data/setup'
import { withEdgeTests } from './demo-edges'
import { demoLogs, demoOvens, ovenOffsetK } from './demo-oven'
import { ranOn, withSoaks } from './demo-run'
import { LOT_OFFSETS, OVEN_NAME, SHOP_NAME, STORIES, type Story } from './stories'

const DAY_MS = 86_400_000
const BLADE_SD_HRC = 0.25
const READING_SD_HRC = 0.3
/** A leaking packet costs its blade this much at the skin, HRC. */
const LEAK_HRC = 5.5

/**
 * A made-up workshop from a seed: about a year of batches with an oven that drifts, a bad packet, a chipped edge put
 * right and a trial beside a control. The same seed and day give the same workshop.
 */
export function makeDemoWorkshop(seed: number, now: Date): WorkshopData {
  const random = createRandom(seed)
  const shop: Workshop = {
    ...DEFAULT_WORKSHOP,
    origin: `demo-${seed}`,
    name: SHOP_NAME,
    isDemo: true,
    said: [...SETUP_STEPS],
    ovens: demoOvens(now),
    prices: { ...PROTECTION.prices, kWh: 0.31, steelPerKg: 34, beltsPerBlade: 2.6 },
    currency: 'EUR',
    foil: { ...DEFAULT_WORKSHOP.foil, leftMm: 1400 },
    cold: { ...DEFAULT_WORKSHOP.cold, boxMm: { length: 360, width: 240, depth: 180 }, price: 4.2 },
    tester: demoTester(now),
  }
  const made = withSerials(
    STORIES.flatMap(story => hardenedAgain(tell(story, random, shop, now), story, shop, now)),
    shop,
  )
  return {
    ...emptyData(shop),
    batches: made.map(m => partBatch(m.batch).record),
    blades: made.flatMap(m => m.batch.blades),
    readings: made.flatMap(m => m.readings),
    recipes: recipesFrom(
      made.map(m => m.batch),
      random,
    ),
    runs: made.flatMap(m => m.runs),
    logs: demoLogs(
      made.map(m => m.batch),
      shop,
      now,
      random,
    ),
  }
}

interface Told {
  readonly batch: Batch
  readonly readings: Reading[]
  readonly runs: Run[]
}

/** A told batch; where one of its blades was hardened again, that batch before it, as the newer one. */
function hardenedAgain(told: Told, story: Story, shop: Workshop, now: Date): Told[] {
  const { again } = story
  const blade = again && bladesOf(told.batch).find(one => one.mark === again.mark)
  if (!again || !blade) return [told]
  const random = createRandom(6100 + again.daysAgo)
  const day = atHour(now, again.daysAgo, 9)
  const { from, to } = sentBack(told.batch, blade.group, [blade.id], {
    route: blade.group.route,
    why: again.why,
    newId: () => random.id('again'),
    name: `Hardened again: ${again.mark} of ${story.name.toLowerCase()}`,
    nowIso: day.toISOString(),
  })
  const own = { ...story, name: to.name, daysAgo: again.daysAgo, leaked: '', note: again.why }
  const seen = inspected(to, own)
  const run = ranOn(seen, shop, random, day)
  const batch = { ...withSoaks(seen, run), countedOut: 1 }
  return [
    { batch, readings: measure(seen, own, random, day), runs: [run] },
    { ...told, batch: from },
  ]
}

/** A check every two months on one block: the tester creeps up. */
const demoTester = (now: Date): Tester => ({
  dial: true,
  blocks: [{ id: 'block-1', name: 'Block 60', certifiedHrc: 60.3, certifiedSd: 0.2, holdsIndents: 200 }],
  checks: [330, 270, 210, 150, 90, 30].map((daysAgo, i) => ({
    id: `check-${i + 1}`,
    blockId: 'block-1',
    at: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
    readings: [0, 0.1, -0.1].map(d => Math.round((60.38 + 0.024 * i + d) * 10) / 10),
  })),
})

const atHour = (now: Date, daysAgo: number, hour: number) => {
  const day = new Date(now.getTime() - daysAgo * DAY_MS)
  day.setHours(hour, 0, 0, 0)
  return day.getTime() > now.getTime() ? new Date(now.getTime() - daysAgo * DAY_MS) : day
}

function tell(story: Story, random: Random, shop: Workshop, now: Date): Told {
  const day = atHour(now, story.daysAgo, 9)
  const groups: BatchGroup[] = []
  const lines: Line[] = []
  const blades: Blade[] = []
  const batchId = random.id('batch')
  for (const part of story.groups) {
    const grade = findGrade(part.grade)
    if (!grade) throw new RangeError(`demo: ${part.grade} is not shipped`)
    const group = newGroup(random.id('g'), grade, shop, { thicknessMm: Math.max(...part.blades.map(b => b[3])) })
    groups.push({
      ...group,
      lot: part.lot,
      route: {
        ...group.route,
        austenitizeC: group.route.austenitizeC + (part.hotterK ?? 0),
        tempers: group.route.tempers.map(temper => ({ ...temper, atC: temper.atC + (part.temperK ?? 0) })),
      },
      ...(part.beside === undefined ? {} : { trialOf: groups[part.beside]?.id }),
    })
    for (const [mark, lengthMm, widthMm, thicknessMm, count] of part.blades) {
      const lineId = random.id('line')
      lines.push({ id: lineId, groupId: group.id, mark, lengthMm, widthMm, thicknessMm, bevels: 'pre-ground' })
      for (let number = 1; number <= count; number++)
        blades.push({ id: random.id('blade'), batchId, lineId, number, serial: '', removedAt: null })
    }
  }
  const batch: Batch = {
    id: batchId,
    rev: 1,
    name: story.name,
    note: story.note,
    createdAt: day.toISOString(),
    updatedAt: new Date(
      day.getTime() + 8 * 3_600_000 > now.getTime() ? now.getTime() - 60_000 : day.getTime() + 8 * 3_600_000,
    ).toISOString(),
    deletedAt: null,
    groups,
    lines,
    blades,
    ovenId: shop.hardeningOvenId,
    ovenName: OVEN_NAME,
    envelope: { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 },
    countedOut: story.planned ? null : blades.length - (story.cameTo ?? []).filter(one => one.is === 'lost').length,
  }
  if (story.planned) return { batch, readings: [], runs: [] }
  const told = inspected(withDecisions(batch, story, day), story)
  const readings = measure(told, story, random, day)
  const run = ranOn(told, shop, random, day)
  const ended = withCameTo(withSoaks(told, run), story, day)
  const lost = new Set(ended.blades.filter(blade => stateOf(blade) === 'lost').map(blade => blade.id))
  const left = readings.filter(({ bladeId }) => !bladeId || !lost.has(bladeId))
  return { batch: withEdgeTests(ended, left, story, day), readings: left, runs: [run] }
}

/** A batch with what single blades came to, on the evening of its day. */
const withCameTo = (batch: Batch, { cameTo = [] }: Story, day: Date): Batch =>
  cameTo.reduce((all, { mark, ...state }) => {
    const blade = bladesOf(batch).find(one => one.mark === mark)
    const at = new Date(day.getTime() + 9 * 3_600_000).toISOString()
    return blade ? withState(all, blade.id, { ...state, at }) : all
  }, batch)

/** Readings as the oven, the blade and the tester would have given them. */
function measure(batch: Batch, story: Story, random: Random, day: Date): Reading[] {
  const drift = ovenOffsetK(story.daysAgo)
  return bladesOf(batch).flatMap((blade, i) => {
    const grade = gradeOf(blade.group)
    if (!grade) return []
    const own = random.normal(0, BLADE_SD_HRC)
    const leak = story.leaked === blade.mark ? LEAK_HRC : 0
    return stagesOf(blade.group.route)
      .filter(stage => stage !== 'temper-1' && (stage !== 'as-quenched' || i % 3 === 0))
      .flatMap(stage => {
        const route = routeUpTo(blade.group.route, stage)
        const lot = LOT_OFFSETS[blade.group.lot ?? ''] ?? 0
        const truth =
          predict(grade, { ...route, austenitizeC: route.austenitizeC + drift }).finalHrc.mean + lot + own - leak
        return Array.from(
          { length: stage === 'as-quenched' ? 1 : 3 },
          (_, n): Reading => ({
            id: random.id('r'),
            batchId: batch.id,
            bladeId: blade.id,
            stage,
            hrc: Math.round(2 * (truth + 0.2 + random.normal(0, READING_SD_HRC))) / 2,
            at: new Date(
              day.getTime() + (stage === 'as-quenched' ? 3 : 30) * 3_600_000 + (i * 4 + n) * 60_000,
            ).toISOString(),
            deletedAt: null,
          }),
        )
      })
  })
}

/** Bows as a feeler gauge finds them, mm, blade after blade. */
const BOWS_MM = [0, 0.1, 0, 0.05, 0.15, 0, 0.1, 0.05] as const

/** Returns the inspection of a blade: bright and nearly straight, but for the packet that leaked. */
const inspected = (batch: Batch, story: Story): Batch =>
  bladesOf(batch).reduce((all, { id, mark }, i) => {
    const leaked = story.leaked === mark
    return editBlade(all, id, blade => ({
      ...blade,
      packet: { sealed: true, leak: leaked ? 'dark scale on opening' : null },
      inspection: {
        bowMm: BOWS_MM[i % BOWS_MM.length] ?? 0,
        bentAt: null,
        cracked: false,
        colour: leaked ? 'flaking' : 'bright',
        skates: leaked ? 50 : 60,
        bites: leaked ? 55 : 65,
        hrc: null,
      },
    }))
  }, batch)

/** A chipped edge was tempered once more: the decision stands in the record. */
function withDecisions(batch: Batch, story: Story, day: Date): Batch {
  const groups = batch.groups.map((group, i) => {
    if (!story.groups[i]?.symptom) return group
    const last = group.route.tempers[group.route.tempers.length - 1] ?? { atC: 200, holdMin: 120 }
    const temper = { atC: last.atC + 30, holdMin: 120 }
    return {
      ...group,
      route: { ...group.route, tempers: [...group.route.tempers, temper] },
      decisions: [
        {
          by: 'option' as const,
          at: new Date(day.getTime() + 4 * DAY_MS).toISOString(),
          kind: 'temper' as const,
          temper,
          cold: null,
          from: { stage: 'temper-2' as const, hrc: group.target.max, u95: 0.4 },
          target: { min: group.target.min - 1, max: group.target.max - 1 },
          toHrc: group.target.min,
          inTargetProbability: 0.8,
          note: 'The thin edge chipped on the board at 15° a side.',
        },
      ],
    }
  })
  return { ...batch, groups }
}

/** Serials in the order the batches were made, year by year. */
function withSerials<T extends { readonly batch: Batch }>(made: readonly T[], shop: Workshop): T[] {
  const used: string[] = []
  const serials = new Map<string, string>()
  for (const { batch } of [...made].sort((a, b) => compareInstants(a.batch.createdAt, b.batch.createdAt))) {
    const year = Number(batch.createdAt.slice(0, 4))
    const fresh = nextSerials(shop.serialPattern, year, used, batch.blades.length)
    batch.blades.forEach((blade, i) => {
      serials.set(blade.id, fresh[i] ?? '')
    })
    used.push(...fresh)
  }
  return made.map(one => ({
    ...one,
    batch: { ...one.batch, blades: one.batch.blades.map(b => ({ ...b, serial: serials.get(b.id) ?? '' })) },
  }))
}

/** The half of a trial of this grade whose tempers were changed. */
function triedTempers(batches: readonly Batch[], gradeId: string) {
  for (const { groups, createdAt, updatedAt } of batches) {
    const changed = groups.find(group => group.trialOf !== undefined && group.gradeId === gradeId)
    const control = groups.find(group => group.id === changed?.trialOf)
    if (changed && control && changed.route.tempers[0]?.atC !== control.route.tempers[0]?.atC)
      return { createdAt, updatedAt, route: changed.route }
  }
  return null
}

function recipesFrom(batches: readonly Batch[], random: Random): Recipe[] {
  const grades = [...new Set(batches.flatMap(b => b.groups.map(g => g.gradeId)))]
  return grades.flatMap(gradeId => {
    const oldest = [...batches].reverse().find(b => b.groups.some(g => g.gradeId === gradeId))
    const group = oldest?.groups.find(g => g.gradeId === gradeId)
    if (!oldest || !group) return []
    const usual = { ...group.route, tempers: group.route.tempers.slice(0, 2) }
    const tried = triedTempers(batches, gradeId)
    const warmer = { ...group.route, tempers: group.route.tempers.slice(0, 2).map(t => ({ ...t, atC: t.atC + 10 })) }
    return [
      {
        id: random.id('recipe'),
        name: `${group.gradeName}, everyday`,
        gradeId,
        gradeName: group.gradeName,
        target: group.target,
        retired: false,
        versions: [
          { number: 1, at: oldest.createdAt, route: warmer, why: 'From the grade’s usual figures.' },
          {
            number: 2,
            at: oldest.updatedAt,
            route: usual,
            why: 'Came out half a point soft: tempers 10 °C lower.',
          },
          ...(tried
            ? [
                { number: 3, at: tried.createdAt, route: tried.route, why: 'Tried tougher: tempers 30 °C higher.' },
                { number: 4, at: tried.updatedAt, route: usual, why: 'Too soft at 220 °C: back to 190 °C.' },
              ]
            : []),
        ],
      },
    ]
  })
}
