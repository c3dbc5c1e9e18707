// npm run method: writes the table of stated figures into docs/method.md, between its two marks.
import { loadCore } from './load-core.mjs'
import { writeBetween } from './write-between.mjs'

const core = await loadCore()
const { factTable } = await core.load('/src/words/method-tables.ts')
writeBetween('docs/method.md', 'checks', factTable())
await core.close()
