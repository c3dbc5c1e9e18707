import { MARK } from './shared-mark'

/** A screen of a shared workshop, as it knows itself. */
interface Mark {
  readonly name: string
  readonly role: 'works' | 'shows'
}

/** Returns what this screen is among those of its workshop; null where it shares none. */
function readMark(): Mark | null {
  try {
    return JSON.parse(localStorage.getItem(MARK) ?? 'null')
  } catch {
    return null
  }
}

export const screenName = (): string | null => readMark()?.name ?? null

/** Whether nothing is changed on this screen. */
export const onlyShows = (): boolean => readMark()?.role === 'shows'

/** Notes what this browser is among the screens of a workshop; null: it shares nothing any more. */
export const markShared = (mark: Mark | null): void =>
  mark === null ? localStorage.removeItem(MARK) : localStorage.setItem(MARK, JSON.stringify(mark))
