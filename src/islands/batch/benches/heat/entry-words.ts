import type { EntrySchool } from '../../../../data/ovens'

/** Name of each way to load, and its advantage. */
export const ENTRY_WORDS: Readonly<Record<EntrySchool, { name: string; says: string }>> = {
  'from-cold': { name: 'from cold', says: 'gentlest, but the longest in the oven: more scale and carbon loss' },
  'on-the-way-up': { name: 'while the oven heats', says: 'the usual way: gentle enough, little time lost' },
  equalised: {
    name: 'after an equalising hold',
    says: 'thick and thin blades start level; where the data sheet asks for it',
  },
  'straight-in': {
    name: 'into the hot oven',
    says: 'quickest for one blade after another, but the steepest: thin blades may bend',
  },
}
