import { describe, expect, it } from 'vitest'
import { befell, pressed, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { NOW } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { editBlade } from '../batch/tray-edit'
import { bladeHardness } from '../hardness/hardness'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { bladeLife } from './blade-life'

const at = (minutes: number) => new Date(Date.parse(NOW) + minutes * 60_000).toISOString()

describe('a blade’s life', () => {
  it('tells in order what was run, read, tested and what it came to; what befell another is not told', () => {
    const plain = trayOfBlades(2)
    const batch = editBlade({ ...plain, createdAt: at(-60) }, 'A1', blade => ({
      ...blade,
      states: [{ is: 'sold' as const, at: at(5000), why: '', to: 'a cook' }],
      edgeTests: [{ id: 't', at: at(4000), kind: 'rope-cuts' as const, edgeDeg: 18, result: 'chips' as const }],
    }))
    const run = runOf(batch)
    const upTo = run.steps.findIndex(step => step.kind === 'inspect')
    const ran = withEvents(
      run,
      ...run.steps.slice(0, upTo).map((step, i) => pressed(600 * (i + 1), step.id)),
      befell(600 * upTo + 10, 'bent', ['A1']),
      befell(600 * upTo + 20, 'dropped', ['A2']),
    )
    const reading = {
      id: 'r',
      batchId: batch.id,
      bladeId: 'A1',
      stage: 'temper-2' as const,
      hrc: 58,
      at: at(3000),
      deletedAt: null,
    }
    const [blade] = bladesOf(batch)
    if (!blade) throw new Error('blade')
    const measured = bladeHardness(blade, reading.stage, { readings: [reading], tester: DEFAULT_WORKSHOP.tester })
    if (!measured) throw new Error('hardness')
    const life = bladeLife(blade, { batch, runs: [ran], readings: [reading], measured: [measured] })
    expect(life.map(event => event.at)).toEqual(life.map(event => event.at).sort())
    expect(life[0]?.kind).toBe('begun')
    expect(life.slice(-4).map(event => event.kind)).toEqual(['incident', 'measured', 'tested', 'came-to'])
    expect(life.filter(event => event.kind === 'incident')).toHaveLength(1)
    const steps = life.flatMap(event => (event.kind === 'step' ? [event.step.kind] : []))
    expect(steps).toContain('load')
    expect(steps.filter(kind => kind === 'pull')).toHaveLength(1)
  })
})
