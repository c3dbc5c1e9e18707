/** Says that this browser is a screen of a shared workshop, by its name: read at once, before any page has asked the database. */
const MARK = 'tawny-ember-shared'

/** Returns the name of this screen among those of its workshop; null where it shares none. */
export function screenName(): string | null {
  try {
    return localStorage.getItem(MARK)
  } catch {
    // A worker has no such storage, and changes nothing that is shared.
    return null
  }
}

/** Whether what is changed here is to be sent to the other screens of the workshop. */
export const isShared = (): boolean => screenName() !== null

/** Notes that this browser is a screen of that name; null: it shares nothing any more. */
export const markShared = (name: string | null): void =>
  name === null ? localStorage.removeItem(MARK) : localStorage.setItem(MARK, name)
