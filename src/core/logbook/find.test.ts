import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { gradeOf, trayOf } from '../../testing/tray'
import { newOven } from '../shop/defaults'
import { type Found, find, logIndexOf, namedIndexOf } from './find'

const tray = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }], {
  name: 'Skerry fillets',
  note: 'for Ása of Norð, wide tang',
})
const batch = { ...tray, blades: tray.blades.map((blade, i) => ({ ...blade, serial: `26-01${i}` })) }
const searched = {
  batches: [batch, trayOf(gradeOf('X105CrMo17'), [{ mark: 'B' }], { id: 'other', name: 'Boat knives' })],
  grades: GRADES,
  recipes: [],
  ovens: [newOven('o', 'Old Gannet', 'medium')],
}
const index = [...logIndexOf(searched.batches), ...namedIndexOf(searched)]
const said = (found: Found): string =>
  found.kind === 'blade' ? `${found.mark} ${found.serial}` : `${found.kind} ${found.name}`
const names = (text: string) => find(text, index).map(said)

describe('what is found', () => {
  it('a blade by its serial first, and by its mark', () => {
    expect(names('26-011')).toEqual(['A2 26-011'])
    expect(names('a1')[0]).toBe('A1 26-010')
  })

  it('a steel by any of its names', () => {
    expect(names('D2')[0]).toBe('steel X153CrMoV12')
    expect(names('1.4125')[0]).toBe('steel X105CrMo17')
    expect(names('440c')).toContain('steel X105CrMo17')
  })

  it('a batch by its name, a word of it, or what was noted of it, accents or none', () => {
    expect(names('skerry')[0]).toBe('batch Skerry fillets')
    expect(names('FILLETS')[0]).toBe('batch Skerry fillets')
    expect(names('asa tang')).toEqual(['batch Skerry fillets'])
  })

  it('an oven, a name before a mention, all words, and nothing for nothing', () => {
    expect(names('gannet')).toEqual(['oven Old Gannet'])
    expect(names('boat')[0]).toBe('batch Boat knives')
    expect(names('boat gannet')).toEqual([])
    expect(names('   ')).toEqual([])
    expect(find('a', index, 3)).toHaveLength(3)
  })

  it('takes what is typed as letters, whatever they mean elsewhere', () => {
    expect(() => names('(.*[')).not.toThrow()
    expect(names('.*')).toEqual([])
  })
})
