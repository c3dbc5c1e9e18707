import type { Found } from '../core/logbook/find'

/** Headings of the kinds of things found. */
export const FOUND_KINDS: Readonly<Record<Found['kind'], string>> = {
  batch: 'Batches',
  blade: 'Blades',
  steel: 'Steels',
  recipe: 'Recipes',
  oven: 'Ovens',
}

/** Returns the name of a found thing, and what tells it from others. */
export function foundWords(found: Found): { readonly name: string; readonly more: string } {
  switch (found.kind) {
    case 'blade':
      return {
        name: [found.mark, found.serial].filter(Boolean).join(', serial '),
        more: `${found.gradeName}, ${found.batchName}`,
      }
    case 'steel':
      return { name: found.name, more: found.alsoNamed.join(', ') }
    default:
      return { name: found.name, more: '' }
  }
}
