import { setNonce } from 'get-nonce'
import { Component, lazy, type ReactNode, Suspense, useEffect, useSyncExternalStore } from 'react'
import { tinykeys } from 'tinykeys'
import type { Problem } from '../core/codes/problem'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'
import type { System } from '../core/units/quantity'
import { useSaveTrouble, useShop } from '../store/hooks'
import { noteOwn } from '../store/keeping'
import { unfitChange } from '../store/save-state'
import { isShared } from '../store/shared-mark'
import { fetchWriters } from '../store/writing'
import { setClock } from '../ui/dates'
import { toast, waitingMessages } from '../ui/toast'
import { CurrencyProvider, UnitsProvider } from '../ui/Units'
import { problemWords } from '../words/problems'
import { speakerOf } from '../words/speaker'
import { DemoNote } from './DemoNote'
import { Everywhere } from './find/Everywhere'
import { unlessTyping } from './keys'
import { SaveEverythingButton, useSavingAtHand } from './SaveEverythingButton'
import { ShopProvider } from './shop-context'
import { redo, undo } from './undo'
import { useAtRest } from './use-at-rest'
import { useBeginning } from './use-beginning'

/** A hand at the page: what it is about to change will want to be written. */
const HANDS = ['pointerdown', 'keydown'] as const

/** Fetches what writes as soon as a hand is at the page, and otherwise when the page has come to rest. */
function useWriters(isReady: boolean, isAtRest: boolean): void {
  useEffect(() => {
    if (!isReady) return
    // What cannot be fetched is said where something is to be saved.
    const fetch = () => void fetchWriters().catch(() => undefined)
    if (isAtRest) return fetch()
    for (const hand of HANDS) addEventListener(hand, fetch, { capture: true, once: true })
    return () => {
      for (const hand of HANDS) removeEventListener(hand, fetch, { capture: true })
    }
  }, [isReady, isAtRest])
}

const Emptied = lazy(() => import('./Emptied'))
const AtRest = lazy(() => import('./AtRest'))
const SharedMark = lazy(() => import('./sharing/SharedMark'))
const Messages = lazy(() => import('../ui/Messages'))

/** Lets the dialogs' scroll lock through the content security policy: by the number the page came with. */
if (typeof document !== 'undefined')
  setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '')

/** Frame of every place: the workshop's settings, first-visit data, trouble with saving, and messages. */
export function Place({ children }: { children: ReactNode }) {
  const { state, refused, goOn } = useBeginning()
  const shop = useShop()
  // Before anything below is drawn with a time in it.
  setClock(shop?.clock)
  useUnfitToast(shop?.units ?? 'metric')
  useUndoKeys()
  useSavingAtHand()
  useEffect(() => {
    if (shop) mirrorTheme(shop.theme)
    // The default stands in while none is stored: it is nobody's.
    if (shop && shop !== DEFAULT_WORKSHOP && state === 'ready' && !shop.isDemo) noteOwn(true)
  }, [shop, state])
  // What a page may need later is fetched then, or when a hand is at it: what is shown comes first.
  const isAtRest = useAtRest()
  useWriters(state === 'ready', isAtRest)
  return (
    <Fallback>
      <TroubleBanner refused={refused} />
      {state === 'emptied' ? (
        <Suspense fallback={null}>
          <Emptied onGoOn={goOn} />
        </Suspense>
      ) : state === 'ready' && shop ? (
        <ShopProvider value={shop}>
          <UnitsProvider value={shop.units}>
            <CurrencyProvider value={shop.currency}>
              <Suspense fallback={null}>{isAtRest && <AtRest isOwn={!shop.isDemo} />}</Suspense>
              {children}
              {shop.isDemo && <DemoNote />}
              <Everywhere />
              <Suspense fallback={null}>{isShared() && <SharedMark />}</Suspense>
            </CurrencyProvider>
          </UnitsProvider>
        </ShopProvider>
      ) : (
        <p className="p-6">Reading the workshop …</p>
      )}
      <SaidMessages isAtRest={isAtRest} />
    </Fallback>
  )
}

/** Messages at the page's edge: fetched when the page is idle, or with the first message. */
function SaidMessages({ isAtRest }: { isAtRest: boolean }) {
  const waiting = useSyncExternalStore(waitingMessages.subscribe, waitingMessages.get, waitingMessages.get)
  return <Suspense fallback={null}>{(isAtRest || waiting.length > 0) && <Messages />}</Suspense>
}

/** Speaker for refusals by the browser, which name no quantity, before the shop's units are known. */
const SAY = speakerOf('metric')

/** The theme is wanted before the database can be read: a copy rests where the first script finds it. */
function mirrorTheme(theme: Workshop['theme']) {
  if (theme === 'system') delete document.documentElement.dataset.theme
  else document.documentElement.dataset.theme = theme
  try {
    localStorage.setItem('tawny-ember-theme', theme)
  } catch {
    // Storage may be blocked: the theme then lasts for this page.
  }
}

/** Ctrl+Z takes back what was done last on this page, with Shift (or Ctrl+Y) it is done again. */
function useUndoKeys() {
  useEffect(
    () =>
      tinykeys(window, {
        '$mod+z': unlessTyping(() => void undo()),
        '$mod+Shift+z': unlessTyping(() => void redo()),
        '$mod+y': unlessTyping(() => void redo()),
      }),
    [],
  )
}

/** Says what did not fit where no field shows it beside itself. */
function useUnfitToast(system: System) {
  useEffect(
    () =>
      unfitChange.subscribe(() => {
        const say = speakerOf(system)
        for (const found of unfitChange.get()?.problems.slice(0, 3) ?? []) toast.error(problemWords(found, say))
      }),
    [system],
  )
}

function TroubleBanner({ refused }: { refused: Problem | null }) {
  const trouble = useSaveTrouble()
  const found = trouble?.problem ?? refused
  const holdsUnsaved = trouble !== null
  useEffect(() => {
    if (!holdsUnsaved) return
    const onClose = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('beforeunload', onClose)
    return () => removeEventListener('beforeunload', onClose)
  }, [holdsUnsaved])
  if (!found) return null
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 border-b-2 border-bad bg-ember-wash px-4 py-3">
      <p className="min-w-60 flex-1">{problemWords(found, SAY)}</p>
      {trouble && (
        <button type="button" className="btn" onClick={() => void trouble.retry()}>
          Try again
        </button>
      )}
      <SaveEverythingButton />
    </div>
  )
}

/** A fault in one view must not take the rest of the bench with it. */
export class Fallback extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false }
  static getDerivedStateFromError() {
    return { failed: true }
  }
  override render() {
    if (!this.state.failed) return this.props.children
    return (
      <div role="alert" className="p-6">
        <h1 className="text-heading">This view stopped</h1>
        <p className="my-3">
          What you entered up to now is saved. Load the page again; if it stops once more, save everything to a file.
        </p>
        <p className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-ember" onClick={() => location.reload()}>
            Load again
          </button>
          <SaveEverythingButton />
        </p>
      </div>
    )
  }
}
