import type { SheetDraft } from '../../../core/files/own-grade/sheet-draft'

const KEY = 'tawny-ember-sheet-draft'

/** A half-typed sheet survives a reload: it rests in this browser until it is saved or given up. */
export const draftKeeping = {
  read(): SheetDraft | null {
    try {
      const text = localStorage.getItem(KEY)
      return text === null ? null : (JSON.parse(text) as SheetDraft)
    } catch {
      return null
    }
  },
  keep(draft: SheetDraft) {
    try {
      localStorage.setItem(KEY, JSON.stringify(draft))
    } catch {
      // Storage may be blocked or full: the page still holds what was typed.
    }
  },
  forget() {
    try {
      localStorage.removeItem(KEY)
    } catch {
      // Nothing was kept, then.
    }
  },
}
