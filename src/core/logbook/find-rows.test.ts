import { describe, expect, it } from 'vitest'
import { findRows } from './find-rows'
import type { LogRow } from './logbook'

const row = (more: Partial<LogRow>): LogRow => ({
  key: more.mark ?? 'A1',
  at: '2026-05-04T10:00:00.000Z',
  batchId: 'b',
  batch: 'Galley knives',
  gradeName: 'X105CrMo17',
  bladeId: 'A1',
  mark: 'A1',
  serial: '26-014',
  stage: 'temper-2',
  hrc: 58.7,
  n: 3,
  predicted: 58.6,
  off: 0.1,
  inTarget: true,
  about: ['eider 4', 'Old Gannet', 'sold', 'the ferry’s cook'],
  ...more,
})
const rows = [
  row({}),
  row({ mark: 'A2', serial: '26-015', hrc: 60.2, inTarget: false, about: ['eider 4', 'chips'] }),
  row({ mark: 'B', batch: 'Küche', at: '2025-11-20T10:00:00.000Z', hrc: 59.4, about: [] }),
]
const found = (text: string) => findRows(rows, text).map(one => one.mark)

describe('finding in the log', () => {
  it.each([
    ['', ['A1', 'A2', 'B']],
    ['26-015', ['A2']],
    ['ferry cook', ['A1']],
    ['EIDER', ['A1', 'A2']],
    ['gannet', ['A1']],
    ['kuche', ['B']],
    ['2025-11', ['B']],
    ['chips', ['A2']],
    ['out', ['A2']],
    ['60', ['A2']],
    ['59,4', ['B']],
    ['58.5..59.5', ['A1', 'B']],
    ['x105 60.2', ['A2']],
    ['nothing like it', []],
  ])('“%s” finds %j', (text, marks) => {
    expect(found(text)).toEqual(marks)
  })
})
