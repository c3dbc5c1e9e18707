/** Where it stands that this browser is a screen of a shared workshop: read at once, before any page has asked the database. */
export const MARK = 'tawny-ember-shared'

/** Whether what is changed here is to be sent to the other screens of the workshop. */
export function isShared(): boolean {
  try {
    return MARK in localStorage
  } catch {
    // A worker has no such storage, and changes nothing that is shared.
    return false
  }
}
