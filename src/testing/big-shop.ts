import type { WorkshopData } from '../core/files/exchange'
import { createRandom, type Random } from '../core/numeric/random'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'

const DAY_MS = 86_400_000
/** Days between one made-up year's batches and those before it: ten years hold about 2,000 batches. */
const STEP_DAYS = 25
const BLADES_A_BATCH = 10
const READINGS_A_BLADE = 5

/**
 * A made-up log of many years from a seed: the demo's batches again and again, each time another draw and earlier, those that were
 * hardened filled up to ten blades with five readings each. Only the newest have planned batches. `batches`: at least that many.
 */
export function makeBigShop(batches: number, seed: number, now: Date): WorkshopData {
  const newest = makeDemoWorkshop(seed, now)
  const all = { ...newest, ...emptyLists() }
  take(all, newest)
  for (let i = 1; all.batches.length < batches; i++) {
    const year = makeDemoWorkshop(seed + i, new Date(now.getTime() - i * STEP_DAYS * DAY_MS))
    // A blade hardened again has the same id in every draw.
    const own: WorkshopData = JSON.parse(JSON.stringify(year).replaceAll('"again-', `"again-${i}-`))
    take(all, hardenedOf(own, seed + i))
  }
  return { ...all, shop: { ...newest.shop, isDemo: false, origin: `big-${seed}`, name: 'Ten years' } }
}

type Lists = { [K in 'batches' | 'blades' | 'readings' | 'runs' | 'logs']: WorkshopData[K][number][] }
const emptyLists = (): Lists => ({ batches: [], blades: [], readings: [], runs: [], logs: [] })

function take(all: Lists, of: Lists | WorkshopData) {
  for (const batch of of.batches) all.batches.push(batch)
  for (const blade of of.blades)
    all.blades.push({ ...blade, serial: `${blade.serial.slice(0, 2)}-${String(all.blades.length).padStart(5, '0')}` })
  for (const reading of of.readings) all.readings.push(reading)
  for (const run of of.runs) all.runs.push(run)
  for (const log of of.logs) all.logs.push(log)
}

/** Returns the measurements of a year, its batches completed. */
function hardenedOf(data: WorkshopData, seed: number): Lists {
  const random = createRandom(seed)
  const measured = new Set(data.readings.map(reading => reading.batchId))
  const out: Lists = { ...emptyLists(), runs: [...data.runs], logs: [...data.logs] }
  for (const batch of data.batches.filter(one => measured.has(one.id))) {
    const first = data.readings.filter(reading => reading.batchId === batch.id)
    const blades = filledUp(
      data.blades.filter(blade => blade.batchId === batch.id),
      random,
      seed,
    )
    out.batches.push(batch)
    out.blades.push(...blades)
    for (const blade of blades)
      for (let i = 0; i < READINGS_A_BLADE; i++) {
        const like = random.pick(first)
        const hrc = Math.round((like.hrc + random.normal(0, 0.3)) * 10) / 10
        out.readings.push({ ...like, id: `${random.id('big-reading')}-${seed}`, bladeId: blade.id, hrc })
      }
  }
  return out
}

/** Further blades like the last of a batch, up to ten. */
function filledUp(blades: WorkshopData['blades'], random: Random, seed: number): WorkshopData['blades'] {
  const last = blades.at(-1)
  if (!last) return []
  const { states: _, edgeTests: __, before: ___, ...like } = last
  const highest = Math.max(...blades.map(blade => blade.number))
  return [
    ...blades,
    ...Array.from({ length: Math.max(0, BLADES_A_BATCH - blades.length) }, (_, i) => ({
      ...like,
      // Two years may draw the same.
      id: `${random.id('big-blade')}-${seed}`,
      number: highest + 1 + i,
    })),
  ]
}
