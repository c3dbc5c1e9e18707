// npm run day-reference: solves the made-up days of src/testing/day-instances.ts with MiniZinc's own constraint solver, in Chromium,
// and writes what their best ends are to src/testing/day-optima.json, and of days with a helper to day-optima-helper.json. About an hour. Nothing of the planner takes part in it.
import fs from 'node:fs'
import http from 'node:http'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { testBrowser } from '../browser.mjs'
import { loadCore } from '../load-core.mjs'

const seconds = Number(process.argv[2] ?? 60)
const STEP = 5
const DAYS = 5
const DAY = 1440 / STEP

const core = await loadCore()
const { dayInstance, helperInstance } = await core.load('/src/testing/day-instances.ts')
const { loadShape, transMin } = await core.load('/src/testing/check-day.ts')

const dist = path.dirname(new URL(import.meta.resolve('minizinc')).pathname)
const TYPES = { '.js': 'text/javascript', '.mjs': 'text/javascript', '.wasm': 'application/wasm' }
const server = http
  .createServer((request, response) => {
    const file = path.join(dist, path.basename(new URL(request.url ?? '/', 'http://x').pathname))
    if (request.url === '/') response.setHeader('content-type', 'text/html').end('<title>solver</title>')
    else if (!fs.existsSync(file)) response.writeHead(404).end()
    else {
      response.setHeader('content-type', TYPES[path.extname(file)] ?? 'application/octet-stream')
      fs.createReadStream(file).pipe(response)
    }
  })
  .listen(0, '127.0.0.1')
await new Promise(resolve => server.once('listening', resolve))
const browser = await chromium.launch({
  executablePath: testBrowser(),
  args: ['--no-sandbox'],
})
const page = await browser.newPage()
await page.goto(`http://127.0.0.1:${server.address().port}/`)
const model = fs.readFileSync(new URL('./day.mzn', import.meta.url), 'utf8')

/** Every way to join groups. */
function partitions(items) {
  if (items.length === 0) return [[]]
  const [first, ...rest] = items
  return partitions(rest).flatMap(way => [
    [[first], ...way],
    ...way.map((set, i) => way.map((other, j) => (j === i ? [first, ...set] : other))),
  ])
}

function dataOf({ shop, groups }, way, shapes, beforeMin) {
  const oven = shop.temperOven ?? shop.oven
  const steps = min => Math.round(min / STEP)
  const units = way.flatMap((set, load) => {
    const keys = new Map()
    for (const i of set) {
      const { cold, temper, maxToTemperMin, deadlineMin } = groups[i]
      const key = JSON.stringify([cold, temper, maxToTemperMin, deadlineMin])
      keys.set(key, [...(keys.get(key) ?? []), groups[i]])
    }
    return [...keys.values()].map(all => ({ load, first: all[0], count: all.reduce((n, g) => n + g.count, 0) }))
  })
  if (units.some(({ count, first }) => count > oven.packets || (first.cold && count > shop.coldBoxPackets))) return null
  const tempers = units.flatMap((unit, u) =>
    Array.from({ length: unit.first.rounds }, (_, i) => ({ u, round: i + 1, unit })),
  )
  const keys = [...new Set(tempers.map(t => `${t.unit.first.temper.atC} ${t.unit.first.temper.holdMin}`))]
  const trans = (of, a, b) => steps(transMin(of, a, b))
  const atC = t => t.unit.first.temper.atC
  const [opens, closes] = shop.work[0]
  const [helpOpens, helpCloses] = shop.helper?.[0] ?? [0, 0]
  return {
    horizon: steps(beforeMin),
    day: DAY,
    opens: steps(opens),
    helpOpens: steps(helpOpens),
    helpCloses: steps(helpCloses),
    closes: steps(closes),
    loads: way.length,
    earliest: shapes.map(s => trans(shop.oven, 20, s.entryC)),
    pullAfter: shapes.map(s => steps(s.pullAfterMin)),
    pullLen: shapes.map(s => steps(s.pullMin)),
    loadSetup: shapes.map(a => shapes.map(b => trans(shop.oven, a.austenitizeC, b.entryC))),
    units: units.length,
    load: units.map(u => u.load + 1),
    count: units.map(u => u.count),
    cold: units.map(u => u.first.cold !== null),
    coldDelay: units.map(u => steps(u.first.cold?.delayMin ?? 0)),
    coldLeast: units.map(u => steps(u.first.cold?.holdMin[0] ?? 0)),
    coldMost: units.map(u => steps(u.first.cold?.holdMin[1] ?? 0)),
    toTemper: units.map(u => steps(u.first.maxToTemperMin)),
    deadline: units.map(u => (u.first.deadlineMin === null ? steps(beforeMin) : steps(u.first.deadlineMin))),
    tempers: tempers.length,
    unit: tempers.map(t => t.u + 1),
    round: tempers.map(t => t.round),
    hold: tempers.map(t => steps(t.unit.first.temper.holdMin)),
    key: tempers.map(t => keys.indexOf(`${atC(t)} ${t.unit.first.temper.holdMin}`) + 1),
    temperEarliest: tempers.map(t => trans(oven, 20, atC(t))),
    temperSetup: tempers.map(a => tempers.map(b => trans(oven, atC(a), atC(b)))),
    oneOven: shop.temperOven === null,
    loadToTemper: shapes.map(s => tempers.map(t => trans(shop.oven, s.austenitizeC, atC(t)))),
    temperToLoad: tempers.map(t => shapes.map(s => trans(shop.oven, atC(t), s.entryC))),
    overrun: steps(shop.overrunMin),
    coolBetween: steps(shop.coolBetweenMin),
    room: oven.packets,
    box: shop.coldBoxPackets,
    before: steps(beforeMin),
  }
}

const solve = (data, limitS) =>
  page.evaluate(
    async ({ model, data, limitS }) => {
      const { Model } = await import('/minizinc.mjs')
      const m = new Model()
      m.addFile('day.mzn', model)
      m.addJson(data)
      const run = m.solve({ options: { solver: 'org.minizinc.chuffed', 'time-limit': limitS * 1000 } })
      const result = await Promise.resolve(run).catch(error => {
        throw new Error(JSON.stringify(error))
      })
      return { status: result.status, finish: result.solution ? Number(result.solution.output.default) : null }
    },
    { model, data, limitS },
  )

async function solveAll(out, count, instanceOf) {
  const known = fs.existsSync(out) ? JSON.parse(fs.readFileSync(out, 'utf8')) : []
  for (let seed = 0; seed < count; seed++) {
    if (known[seed] && (known[seed].proven || known[seed].seconds >= seconds)) continue
    const instance = instanceOf(seed)
    const { shop, groups } = instance
    let [bestMin, proven] = [null, true]
    const ways = partitions(groups.map((_, i) => i)).sort((a, b) => a.length - b.length)
    for (const way of ways) {
      const shapes = way.map(set =>
        loadShape(
          shop,
          set.map(i => groups[i]),
        ),
      )
      if (shapes.some(shape => shape === null)) continue
      const data = dataOf(instance, way, shapes, bestMin === null ? DAYS * 1440 : bestMin - STEP)
      if (!data) continue
      const { status, finish } = await solve(data, seconds)
      if (finish !== null) bestMin = finish * STEP
      if (!['OPTIMAL_SOLUTION', 'UNSATISFIABLE', 'ALL_SOLUTIONS'].includes(status)) proven = false
    }
    known[seed] = { finishMin: bestMin, proven, seconds }
    fs.writeFileSync(out, `${JSON.stringify(known)}\n`)
    console.log(seed, groups.length, bestMin, proven ? 'proven' : 'open')
  }
}

await solveAll('src/testing/day-optima.json', 200, dayInstance)
await solveAll('src/testing/day-optima-helper.json', 80, helperInstance)
await browser.close()
server.close()
await core.close()
