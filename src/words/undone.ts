/** What came of taking an edit back; `label` is what the edit was called. */
type Outcome =
  | { readonly done: true; readonly label: string }
  | { readonly done: false; readonly why: 'none' | 'refused' }
  | { readonly done: false; readonly why: 'changed-elsewhere'; readonly label: string }

/** What came of taking an edit back, in one line. */
export function undoneWords(outcome: Outcome): string {
  if (outcome.done) return `Undone: ${outcome.label.toLowerCase()}`
  switch (outcome.why) {
    case 'none':
      return 'Nothing to undo in this tab.'
    case 'changed-elsewhere':
      return `“${outcome.label}” was changed again in another tab, so it stays as it is.`
    default:
      return 'The browser refused to save, so nothing was undone.'
  }
}
