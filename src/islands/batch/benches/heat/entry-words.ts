import type { EntrySchool } from '../../../../data/ovens'

/** What each way to load is called, and what it is good for. */
export const ENTRY_WORDS: Readonly<Record<EntrySchool, { name: string; says: string }>> = {
  'from-cold': { name: 'from cold', says: 'gentlest, but the longest in the oven: more scale and carbon loss' },
  'on-the-way-up': { name: 'while the oven heats', says: 'the usual way: gentle enough, little time lost' },
  equalised: { name: 'equalised', says: 'thick and thin blades start level; where the data sheet asks for it' },
  'straight-in': {
    name: 'into the hot oven',
    says: 'quickest for one blade after another, but the steepest: thin blades may bend',
  },
}
