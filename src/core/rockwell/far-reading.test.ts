import { describe, expect, it } from 'vitest'
import { farReadings } from './far-reading'

const hrcs = (typed: number[], known: number[] = [], predicted: number | null = 60) =>
  farReadings(typed, known, predicted).map(far => far.hrc)

describe('readings that cannot be meant', () => {
  it('asks about a digit left out, by the others typed or by those of before', () => {
    expect(farReadings([60.5, 61, 6], [], null)).toEqual([{ index: 2, hrc: 6, against: [60.5, 61] }])
    expect(hrcs([6], [60.5, 61])).toEqual([6])
  })

  it('asks about none of a soft spot: eight points are the steel’s to give', () => {
    expect(hrcs([60, 52, 60.5])).toEqual([])
  })

  it('holds a lone reading against the prediction, but a failed quench is believed', () => {
    expect(hrcs([38])).toEqual([])
    expect(hrcs([6])).toEqual([6])
    expect(hrcs([6], [], null)).toEqual([])
  })

  it('asks about both where two differ so, since either may be the slip', () => {
    expect(hrcs([16, 61])).toEqual([16, 61])
  })
})
