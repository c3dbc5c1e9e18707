import { expect, it } from 'vitest'
import type { Reading } from '../shop/reading'
import { beforeLatest } from './before-latest'

const reading = (bladeId: string, at: string, change: Partial<Reading> = {}): Reading => ({
  id: `${bladeId} ${at}`,
  batchId: 'b',
  bladeId,
  stage: 'temper-2',
  hrc: 60,
  at: `2026-03-02T${at}:00.000Z`,
  deletedAt: null,
  ...change,
})
const idsOf = (readings: readonly Reading[] | undefined) => readings?.map(({ id }) => id)

it('parts the readings of the blade and stage entered last from all before, in whatever order they come', () => {
  const all = [reading('A1', '10:00'), reading('A2', '10:02'), reading('A1', '09:00'), reading('A2', '10:01')]
  const parted = beforeLatest(all, new Set(['A1', 'A2']))
  expect(idsOf(parted?.latest)).toEqual(['A2 10:02', 'A2 10:01'])
  expect(idsOf(parted?.before)).toEqual(['A1 10:00', 'A1 09:00'])
})

it('takes an earlier stage of the same blade as before, and passes over what was taken out or is of another steel', () => {
  const all = [
    reading('A1', '08:00', { stage: 'as-quenched' }),
    reading('A1', '10:00'),
    reading('A1', '11:00', { deletedAt: '2026-03-02T11:30:00.000Z' }),
    reading('B1', '12:00'),
  ]
  const parted = beforeLatest(all, new Set(['A1']))
  expect(idsOf(parted?.latest)).toEqual(['A1 10:00'])
  // Other blades keep theirs: they tell how much readings scatter.
  expect(idsOf(parted?.before)).toEqual(['A1 08:00', 'B1 12:00'])
})

it('is nothing where the last set is all there is', () => {
  expect(beforeLatest([reading('A1', '10:00'), reading('A1', '10:01')], new Set(['A1']))).toBeNull()
  expect(beforeLatest([], new Set(['A1']))).toBeNull()
})
