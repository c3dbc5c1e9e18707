import type { TemplateNote } from '../core/foil/template'
import type { Speaker } from './speaker'

/** Text of a note on a fold template. */
export function templateNoteWords(note: TemplateNote, say: Speaker): string {
  if (note.code !== 'sheet') return note.code === 'blade' ? 'blade' : 'spine on the fold'
  const { lengthMm, widthMm, folds, foldMm, sheets } = note
  return `${say.length(lengthMm)} x ${say.length(widthMm)}, ${folds} folds of ${say.length(foldMm)}${sheets === 2 ? ', two sheets' : ''}`
}
