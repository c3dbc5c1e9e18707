import { db } from './database'

const TYPED = 'typed '
/** A page that goes takes its writes with it: what it held is put down here, at once. */
const LEFT = 'tawny-ember-typed:'

/** Keeps a text that is typed and not yet taken; an empty one lets it go. Where it cannot be stored it lasts for the page. */
export async function keepTyped(key: string, text: string): Promise<void> {
  await Promise.resolve(
    text === '' ? db.meta.delete(TYPED + key) : db.meta.put({ key: TYPED + key, value: text }),
  ).catch(() => undefined)
}

/** Puts a typed text down as the page goes. */
export function leaveTyped(key: string, text: string): void {
  try {
    if (text === '') localStorage.removeItem(LEFT + key)
    else localStorage.setItem(LEFT + key, text)
  } catch {
    // Storage may be blocked: what was kept before is found.
  }
}

/** Returns the text that an earlier page kept; empty where none did. */
export async function typedBefore(key: string): Promise<string> {
  const left = takeLeft(key)
  if (left === null) return (await Promise.resolve(db.meta.get(TYPED + key)).catch(() => undefined))?.value ?? ''
  await keepTyped(key, left)
  return left
}

function takeLeft(key: string): string | null {
  try {
    const text = localStorage.getItem(LEFT + key)
    localStorage.removeItem(LEFT + key)
    return text
  } catch {
    return null
  }
}
