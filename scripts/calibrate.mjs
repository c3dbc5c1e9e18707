// npm run calibrate: fits the steel model to the stated figures, leaves one steel out at a time, and writes constants
// and errors where they belong. Takes some minutes.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './bootstrap.mjs'
import { loadCore } from './load-core.mjs'
import { writeBetween } from './write-between.mjs'

const core = await loadCore()
const { calibrate } = await core.load('/src/core/calibrate/calibrate.ts')
const { withConstants } = await core.load('/src/core/calibrate/fit-constants.ts')
const { modelFigure } = await core.load('/src/core/calibrate/model-figure.ts')
const { factTable, fittedSource, heldOutTables } = await core.load('/src/words/method-tables.ts')

const calibration = calibrate(steel => console.log(`without ${steel} …`))
withConstants(calibration.constants, () => {
  const tables = heldOutTables(calibration, modelFigure)
  writeFileSync(join(ROOT, 'src', 'data', 'steel-fitted.ts'), fittedSource(calibration))
  writeBetween('docs/method.md', 'checks', factTable())
  writeBetween('docs/method.md', 'held-out', tables)
  console.log(tables)
})
await core.close()
