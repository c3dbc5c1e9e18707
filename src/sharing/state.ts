import type { Role, ScreenRow, SharingRefusal } from '../core/sharing/messages'
import { createSubscribable } from '../core/subscribable'

/** How this screen stands with the others of its workshop. */
export interface Sharing {
  /** 'in-step': everything that came was taken; 'removed': it is no screen of the workshop any more. */
  readonly phase: 'connecting' | 'in-step' | 'away' | 'removed'
  /** Since when it is away, ISO 8601; null while it is not. */
  readonly awaySince: string | null
  /** Records changed here that the others do not have yet. */
  readonly waiting: number
  /** Why nothing goes on; null: all is well. */
  readonly refusal: SharingRefusal | null
  readonly you: string | null
  readonly role: Role
  readonly screens: readonly ScreenRow[]
  /** How far this screen’s clock is ahead of the server’s, ms. */
  readonly aheadMs: number
}

export const sharing = createSubscribable<Sharing>({
  phase: 'connecting',
  awaySince: null,
  waiting: 0,
  refusal: null,
  you: null,
  role: 'works',
  screens: [],
  aheadMs: 0,
})

/** Of several tabs one keeps in step; the others show what it knows. */
const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('tawny-ember-sharing')
if (tabs) tabs.onmessage = ({ data }: MessageEvent<Sharing>) => sharing.set(data)

export function setSharing(parts: Partial<Sharing>): void {
  const next = { ...sharing.get(), ...parts }
  sharing.set(next)
  tabs?.postMessage(next)
}
