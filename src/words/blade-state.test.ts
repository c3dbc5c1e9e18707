import { describe, expect, it } from 'vitest'
import { withState } from '../core/batch/blade-state'
import { bladesOf } from '../core/batch/tray'
import { BLADE_STATES } from '../data/blade-states'
import { gradeOf, NOW, trayOf } from '../testing/tray'
import { countedOutWords, stateName, statesCounted, stateWords } from './blade-state'
import { bladesBySteel } from './lists'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 4 }])
const cracked = withState(batch, 'A2', { is: 'cracked', at: NOW, why: 'in the cold' })
const sold = withState(cracked, 'A1', { is: 'sold', at: NOW, why: '', to: 'the ferry’s cook' })

describe('what blades came to, in words', () => {
  it('has a word for every state, with why and to whom', () => {
    expect(new Set(BLADE_STATES.map(stateName)).size).toBe(BLADE_STATES.length)
    expect(sold.blades.map(stateWords)).toEqual(['sold to the ferry’s cook', 'cracked: in the cold', 'whole', 'whole'])
  })

  it('counts those that stand, and names what became of others', () => {
    expect(statesCounted(bladesOf(batch))).toBe('')
    expect(statesCounted(bladesOf(sold))).toBe('1 cracked, 1 sold')
    expect(bladesBySteel(sold)).toBe('3 × X65Cr13 (1 cracked, 1 sold)')
    expect(bladesBySteel(batch)).toBe('4 × X65Cr13')
  })

  it('counts out against what went in, and knows of the lost', () => {
    expect(countedOutWords(4, 4, 0)).toEqual({ missing: 0, text: 'All 4 are out.' })
    expect(countedOutWords(4, 3, 1)).toEqual({ missing: 0, text: '3 of 4 out, 1 lost.' })
    expect(countedOutWords(4, 3, 0).text).toMatch(/^1 blade is missing: look in the oven/)
    expect(countedOutWords(4, 5, 0).text).toMatch(/^More blades came out/)
  })
})
