/** What the person must know about saving: silent while all is well. */
export interface SaveTrouble {
  readonly message: string
  /** Tries the refused write again. */
  readonly retry: () => Promise<boolean>
}

let trouble: SaveTrouble | null = null
const listeners = new Set<() => void>()

export const saveTrouble = {
  get: (): SaveTrouble | null => trouble,
  subscribe(listener: () => void) {
    listeners.add(listener)
    return () => listeners.delete(listener)
  },
}

function setTrouble(next: SaveTrouble | null) {
  trouble = next
  for (const listener of listeners) listener()
}

/** Why a write was refused, in plain words. */
export function whyRefused(error: unknown): string {
  const name = error instanceof Error ? `${error.name} ${error.message}` : String(error)
  if (/Quota/i.test(name))
    return 'This browser’s storage is full, so the last change is not saved. It is still on this page. Free some space, then try again; or save everything to a file now.'
  return 'This browser refuses to store data (a private window, or storage is blocked), so the last change is not saved. It is still on this page. Allow storage for this address, then try again; or save everything to a file now.'
}

/**
 * Runs a write; a refusal is shown with a way to try again, never swallowed. True when it was saved. Where repeating
 * the write itself would apply it twice, give what to try instead.
 */
export async function saving(write: () => Promise<unknown>, again: () => Promise<unknown> = write): Promise<boolean> {
  try {
    await write()
    setTrouble(null)
    return true
  } catch (error) {
    setTrouble({ message: whyRefused(error), retry: () => saving(again) })
    return false
  }
}
