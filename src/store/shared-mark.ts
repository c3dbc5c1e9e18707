/** Says that this browser is a screen of a shared workshop: read at once, before any page has asked the database. */
const MARK = 'tawny-ember-shared'

/** Whether what is changed here is to be sent to the other screens of the workshop. */
export function isShared(): boolean {
  try {
    return localStorage.getItem(MARK) !== null
  } catch {
    // A worker has no such storage, and changes nothing that is shared.
    return false
  }
}

export const markShared = (shared: boolean): void =>
  shared ? localStorage.setItem(MARK, 'yes') : localStorage.removeItem(MARK)
