// npm run big-shop [file] [batches]: writes a made-up log of ten years, to see how the application does with it.
import { writeFileSync } from 'node:fs'
import { loadCore } from './load-core.mjs'

const [, , file = 'big-shop.json', batches = '2000'] = process.argv
const core = await loadCore()
const { makeBigShop } = await core.load('/src/testing/big-shop.ts')
const { exportText } = await core.load('/src/core/files/write-exchange.ts')
const now = new Date()
const data = makeBigShop(Number(batches), 20260, now)
const text = exportText(data, now.toISOString())
writeFileSync(file, text)
await core.close()
console.log(
  `${file}: ${data.batches.length} batches, ${data.blades.length} blades, ${data.readings.length} readings, ` +
    `${data.runs.length} runs, ${data.logs.length} logs, ${(text.length / 1e6).toFixed(1)} MB`,
)
