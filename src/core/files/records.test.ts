import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { gradeOf, NOW, trayOf } from '../../testing/tray'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'
import { coldToC } from '../advice/shop-can'
import { newBatch } from '../new-batch/new-batch'
import { batchSchema } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { problemsOf } from '../shop/problems'
import { targetSchema } from '../shop/route'
import { runSchema } from '../shop/run'
import { workshopSchema } from '../shop/workshop'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }])

describe('what is stored', () => {
  it('begins whole: a new batch of every grade, and the default workshop, are records', () => {
    for (const own of GRADES) {
      const made = batchSchema.safeParse(newBatch({ batch: 'b', group: 'g' }, own.name, own, DEFAULT_WORKSHOP, NOW))
      expect(made.error).toBeUndefined()
    }
    expect(workshopSchema.safeParse(DEFAULT_WORKSHOP).success).toBe(true)
  })

  it('knows how cold each way is', () => {
    const at = (medium: typeof DEFAULT_WORKSHOP.cold.medium) => coldToC({ cold: { ...DEFAULT_WORKSHOP.cold, medium } })
    expect([at('none'), at('freezer'), at('dry-ice'), at('liquid-nitrogen')]).toEqual([null, -18, -75, -196])
  })

  it('refuses a run without a batch, a clock or steps', () => {
    const run = {
      id: 'r',
      batchIds: [],
      people: 1,
      blades: [],
      startedAt: '2026-03-02T08:00:00.000Z',
      endedAt: null,
      mode: 'shop',
      clock: [],
      steps: [],
      events: [],
    }
    expect(runSchema.safeParse(run).error?.issues.map(i => i.path[0])).toEqual(['batchIds', 'clock', 'steps'])
  })
})

const SAY = speakerOf('metric')

describe('problems in plain words', () => {
  const words = (schema: { safeParse: typeof batchSchema.safeParse }, value: unknown) => {
    const { error } = schema.safeParse(value)
    return error ? problemsOf(error, value).map(p => `${p.path} ${problemWords(p, SAY)}`) : []
  }

  it.each([
    [{ ...batch, name: 'x'.repeat(81) }, 'name must be at most 80 characters'],
    [{ ...batch, groups: [] }, 'groups must be at least 1 item'],
    [{ ...batch, rev: 'x' }, 'rev must be a number'],
    [
      { ...batch, lines: batch.lines.map(line => ({ ...line, bevels: 'round' })) },
      'lines.0.bevels must be one of pre-ground, full',
    ],
    [{ ...batch, envelope: { ...batch.envelope, folds: 1.5 } }, 'envelope.folds must be a whole number'],
  ])('%#', (value, expected) => {
    expect(words(batchSchema, value)).toContain(expected)
  })

  it('names what is missing', () => {
    const { name: _, ...nameless } = batch
    expect(words(batchSchema, nameless)).toEqual(['name is missing'])
  })

  it('says a target that is upside down', () => {
    expect(words(targetSchema as never, { min: 62, max: 60 })).toEqual([
      'min the lower end of the target must be below the upper end',
    ])
  })
})
