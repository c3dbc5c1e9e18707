import type { Stamp } from '../core/joining/stamp'
import type { Role, ScreenRow, SharingRefusal } from '../core/sharing/messages'
import { counted } from './lists'

export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  works: 'change everything',
  shows: 'show, and change nothing',
}

const REFUSAL_WORDS: Readonly<Record<SharingRefusal, string>> = {
  'other-version':
    'The server has another version of the application. Load this page again; if that changes nothing, start the server again.',
  'other-workshop':
    'The server shares another workshop than the one on this screen. Leave the shared workshop, and come in with a new code.',
  'only-shows': 'This screen only shows: what is changed on it stays on it.',
  'does-not-fit':
    'A record of this screen does not fit and waits; the others go on. Look for a field with a complaint, in a batch that two screens changed, and shorten it.',
  'too-many-rows': 'The shared workshop is as large as it can be.',
  'clock-ahead':
    'The clock of this screen is ahead. What it changed is dated by the server’s clock; put the clock right.',
  disk: 'The disk of the server is full or refuses: what is changed here waits on this screen. Make room there.',
  removed:
    'This screen was removed from the workshop. What it holds stays here; come in with a new code to go on together.',
  'too-fast': 'This screen sent too much at once and was cut off; it comes back by itself.',
}

/** A clock that is off by less tells nobody the wrong time, ms. */
const CLOCK_OFF_MS = 5000

interface Standing {
  readonly phase: 'connecting' | 'in-step' | 'away' | 'removed'
  readonly waiting: number
  readonly refusal: SharingRefusal | null
  readonly aheadMs: number
}

const waitingWords = (waiting: number): string => (waiting > 0 ? `${counted(waiting, 'change')} waiting` : '')

/** Says how this screen stands with the others, in a few words: `since` is the time of day since when it is away. */
export function standingWords({ phase, waiting }: Standing, since: string): string {
  switch (phase) {
    case 'removed':
      return 'Not shared any more'
    case 'away':
      return [`Offline since ${since}`, waitingWords(waiting)].filter(Boolean).join(', ')
    case 'connecting':
      return ['Connecting', waitingWords(waiting)].filter(Boolean).join(', ')
    default:
      return waitingWords(waiting) || 'In step'
  }
}

/** Says what stands in the way, and what to do; null where nothing does. */
export function troubleWords({ refusal, aheadMs }: Standing): string | null {
  if (refusal) return REFUSAL_WORDS[refusal]
  if (Math.abs(aheadMs) < CLOCK_OFF_MS) return null
  return `The clock of this screen is ${awayWords(Math.abs(aheadMs))} ${aheadMs > 0 ? 'ahead of' : 'behind'} the server’s. Put it right: a run shows wrong times here until then.`
}

function awayWords(ms: number): string {
  const s = Math.round(ms / 1000)
  if (s < 120) return `${s} s`
  const min = Math.round(s / 60)
  return min < 120 ? `${min} min` : `${Math.round(min / 60)} h`
}

/** Says when a screen was here last: `ago` as it is said, null: never. */
export const lastSeenWords = (screen: { isThis: boolean; isHere: boolean; ago: string | null }): string => {
  if (screen.isThis) return 'This screen'
  if (screen.isHere) return 'Here now'
  return screen.ago ? `Last here ${screen.ago}` : 'Not here yet'
}

/** A code in two halves, as it is read aloud. */
export const codeWords = (code: string): string => code.replace(/^(.{5})/, '$1-')

/** Says what becomes of what stands in this browser when it comes in. */
export function ownLogWords(
  own: { is: 'none' | 'made-up' | 'same' | 'other'; name: string; batches: number },
  workshop: string | null,
): string {
  const holds = `“${own.name}” with ${counted(own.batches, 'batch', 'batches')}`
  if (workshop === null)
    return own.is === 'none'
      ? 'Nothing is shared yet. This browser’s empty workshop becomes the one that all screens share.'
      : `Nothing is shared yet. This browser holds ${holds}: it becomes the one that all screens share.`
  switch (own.is) {
    case 'none':
      return `This screen takes “${workshop}” as it is.`
    case 'made-up':
      return `This screen takes “${workshop}” as it is. The made-up workshop on it goes.`
    case 'same':
      return `This screen holds ${holds} of the same workshop already. Both are joined: nothing is lost on either side.`
    default:
      return `This screen holds a workshop of its own, ${holds}. It can be laid beside “${workshop}”, or left out; either way all of it is saved to a file first.`
  }
}

/** Says which other screen leads a run, and where its last step was pressed. */
export const leadWords = (leader: string, last: string | undefined): string =>
  `Alarms and voice: ${leader}.${last ? ` Last press: ${last}.` : ''}`

/** Says on which screen a value was changed: by its name where it is one of the workshop’s, else whether it stood here. */
export function changedOn(at: Stamp | null, isHere: boolean, screens: readonly ScreenRow[]): string {
  const screen = at && screens.find(({ stampsAs }) => stampsAs.includes(at[1]))
  return screen ? `on ${screen.name}` : isHere ? 'here' : screens.length > 0 ? 'on another screen' : 'in the file'
}

/** Says why a page that came as a plain file shares nothing. */
export const notSharedAsFiles =
  'This address holds the application as plain files, and shares no workshop: for that the application’s own server must run (npm start -- --shared). Between screens of this address a workshop file carries the work.'
