/** Result of undo or redo; `label` is the name of the step. */
type Outcome = { readonly way: 'undo' | 'redo' } & (
  | { readonly done: true; readonly label: string }
  | { readonly done: false; readonly why: 'none' | 'refused' }
  | { readonly done: false; readonly why: 'changed-elsewhere'; readonly label: string }
)

const WAYS = {
  undo: { done: 'Undone', none: 'There is nothing to undo on this page.', refused: 'nothing was undone' },
  redo: { done: 'Done again', none: 'There is nothing to redo on this page.', refused: 'nothing was done again' },
} as const

/** Says the result of undo or redo, in one line. */
export function undoneWords(outcome: Outcome): string {
  const way = WAYS[outcome.way]
  if (outcome.done) return `${way.done}: ${outcome.label}`
  switch (outcome.why) {
    case 'none':
      return way.none
    case 'changed-elsewhere':
      return `“${outcome.label}” was changed again since, so it stays as it is.`
    default:
      return `The browser refused to save, so ${way.refused}.`
  }
}
