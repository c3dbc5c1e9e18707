import type { Carried } from '../core/files/code'
import type { LooseEnd } from '../core/files/loose-ends'
import type { Added } from '../core/joining/join-logs'
import { counted, listOf } from './lists'

/** Says the contents of a workshop file, before anything of it is stored. */
export const openedWords = ({ shopName, exportedAt, counts }: Opened): string =>
  `${shopName}, saved ${exportedAt.slice(0, 10)}: ${counted(counts.batches, 'batch', 'batches')}, ${counted(counts.blades, 'blade')}, ${counted(counts.readings, 'reading')}, ${counted(counts.recipes, 'recipe')}, ${counted(counts.runs, 'run')}.`

interface Opened {
  readonly shopName: string
  readonly exportedAt: string
  readonly counts: Readonly<Record<'batches' | 'blades' | 'readings' | 'recipes' | 'runs', number>>
}

/** Says what was added from a workshop file. */
export const readInWords = ({ batches, readings }: Pick<Opened['counts'], 'batches' | 'readings'>): string =>
  `${counted(batches, 'batch', 'batches')} and ${counted(readings, 'reading')} read in.`

/** Something that points nowhere, said by its name, with what to do. */
export function looseEndWords(end: LooseEnd): string {
  switch (end.kind) {
    case 'oven':
      return end.oven === ''
        ? `${end.batch} has no oven. Choose one at its Heat bench.`
        : `${end.batch} was planned for the oven “${end.oven}”, which is not in the workshop. Choose another at its Heat bench.`
    case 'grade':
      return `${end.batch}: the grade “${end.grade}” is not known. Its blades are kept; choose a steel for them at the bench.`
    case 'marks':
      return `${end.batch}: two blades are marked ${listOf(end.marks)}. Give one of the lines another mark at Prepare.`
    case 'readings':
      return `${end.batch}: ${counted(end.count, 'reading')} of ${listOf(end.marks.map(mark => mark || 'an unknown blade'))} ${end.count === 1 ? 'belongs' : 'belong'} to no one blade. Give them to a blade at Prepare.`
    case 'notes':
      return `${end.batch}: something is noted of ${listOf(end.marks)}, which no blade is marked. Give it to a blade at Prepare.`
    case 'no-batch':
      return `${counted(end.count, end.what.slice(0, -1))} of a batch that is not in the file ${end.count === 1 ? 'is' : 'are'} kept.`
  }
}

/** Says what came of joining a file into the log: what was renamed, what came back, and what is to be looked at. */
export function addedWords({ ovens, serials, differences, returned }: Added): string[] {
  const isOne = serials.length === 1
  return [
    ...(ovens.length > 0 ? [`${counted(ovens.length, 'oven')} came along: ${listOf(ovens)}.`] : []),
    ...(serials.length > 0
      ? [
          `${counted(serials.length, 'serial')} ${isOne ? 'was' : 'were'} given twice and ${isOne ? 'is' : 'are'} new: ${serials
            .slice(0, 6)
            .map(s => `${s.from} is now ${s.to}`)
            .join(', ')}${serials.length > 6 ? ', and more' : ''}.`,
        ]
      : []),
    ...(returned.length > 0
      ? [
          `Deleted on one side and changed on the other, so kept: ${listOf([...new Set(returned.map(one => one.name))].slice(0, 6))}.`,
        ]
      : []),
    ...(differences > 0
      ? [`${counted(differences, 'detail')} changed on both sides: listed below, each with both values.`]
      : []),
  ]
}

/** Says the contents of a code. */
export const carriedWords = (carried: Carried): string =>
  carried.kind === 'recipe'
    ? `The recipe “${carried.recipe.name}” for ${carried.recipe.gradeName}, as it is there now.`
    : `The blade ${carried.blade.serial} of ${carried.batch.groups[0]?.gradeName ?? 'an unknown steel'}, “${carried.batch.name}”, with ${counted(carried.readings.length, 'reading')}.`
