import { describe, expect, it } from 'vitest'
import { speakerOf } from './speaker'

describe('money', () => {
  it('has the shop’s currency with it, and is a plain amount until one is said', () => {
    expect(speakerOf('metric', 'EUR').money(30)).toBe('€30.00')
    expect(speakerOf('metric', 'USD').roundMoney(1234.4)).toBe('$1,234')
    expect(speakerOf('metric').money(30)).toBe('30.00')
  })

  it('is by the metre or by the foot, as lengths are: 30 a metre is 9.14 a foot', () => {
    expect(speakerOf('metric', 'EUR').perLength(30)).toBe('€30.00 per metre')
    expect(speakerOf('imperial', 'GBP').perLength(30)).toBe('£9.14 per foot')
  })
})
