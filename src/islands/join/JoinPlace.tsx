import { useEffect, useState } from 'react'
import type { Workshop } from '../../core/shop/workshop'
import { askStatus, comeIn, type OwnLog, ownLog, type Screen, shareOwn, takeShared } from '../../sharing/coming-in'
import { notSharedAsFiles, ownLogWords } from '../../words/sharing'
import { isServedAsFiles } from '../as-files'
import { Fallback } from '../Place'
import { saveEverything } from '../save-everything'

type Own = Awaited<ReturnType<typeof ownLog>>

interface ChoiceProps {
  readonly screen: Screen
  /** Null: nothing is shared yet. */
  readonly workshop: Workshop | null
  readonly own: Own
}

type At =
  | { readonly is: 'asking' }
  | { readonly is: 'code'; readonly says: string | null }
  | ({ readonly is: 'choice' } & ChoiceProps)

/** Another screen of a shared workshop comes in: with its code, and with a choice what becomes of what stood here. */
export default function JoinPlace() {
  const [at, setAt] = useState<At>({ is: 'asking' })
  const look = async (says: string | null) => {
    const status = await askStatus()
    if (status?.screen)
      setAt({ is: 'choice', screen: status.screen, workshop: status.workshop, own: await ownLog(status.workshop) })
    else setAt({ is: 'code', says: status ? says : isServedAsFiles() ? notSharedAsFiles : NOT_SHARED })
  }
  const tryCode = async (code: string) => {
    setAt({ is: 'asking' })
    await look(await comeIn(code))
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, with the code the address came with.
  useEffect(() => {
    const code = location.hash.slice(1)
    // Nobody who looks over a shoulder reads it off the address.
    history.replaceState(null, '', location.pathname)
    void (code ? tryCode(code) : look(null))
  }, [])
  return (
    <Fallback>
      <h1 className="mb-4 text-page">Come into the workshop</h1>
      {at.is === 'asking' && <p role="status">Asking the workshop’s server …</p>}
      {at.is === 'code' && <CodeForm says={at.says} onCode={tryCode} />}
      {at.is !== 'asking' && location.protocol === 'https:' && !isServedAsFiles() && <Certificate />}
      {at.is === 'choice' && <Choice screen={at.screen} workshop={at.workshop} own={at.own} />}
    </Fallback>
  )
}

const NOT_SHARED =
  'This server shares no workshop, or does not answer. Start it with npm start -- --shared on the machine that keeps the workshop.'

/** A browser gives camera, wake lock and working offline to addresses it trusts: where what makes it trust this one is. */
function Certificate() {
  return (
    <p className="my-4 text-small text-ink-2">
      Did the browser warn of this address?{' '}
      <a className="link" href="/share/authority.crt" download>
        Fetch the workshop’s certificate
      </a>{' '}
      and make it known to this device, as the guide says under Several screens: camera, wake lock and working offline
      need it.
    </p>
  )
}

function CodeForm({ says, onCode }: { says: string | null; onCode: (code: string) => Promise<void> }) {
  const [code, setCode] = useState('')
  return (
    <form
      className="grid gap-3"
      onSubmit={event => {
        event.preventDefault()
        void onCode(code)
      }}
    >
      {says && (
        <p role="alert" className="border-l-3 border-bad pl-3">
          {says}
        </p>
      )}
      <label className="block">
        Code
        <input
          className="field font-mono"
          autoComplete="off"
          autoCapitalize="characters"
          maxLength={20}
          value={code}
          onChange={event => setCode(event.target.value)}
        />
      </label>
      <p className="text-small text-ink-2">
        A screen that is in the workshop shows it: Workshop, Screens, Add a screen. It is good for five minutes.
      </p>
      <button type="submit" className="btn btn-ember">
        Come in
      </button>
    </form>
  )
}

const SAVED_FIRST: readonly OwnLog[] = ['other']

function Choice({ screen, workshop, own }: ChoiceProps) {
  const [trouble, setTrouble] = useState(false)
  const go = async (act: () => boolean | Promise<boolean>) => {
    if (SAVED_FIRST.includes(own.is)) await saveEverything()
    if (await Promise.resolve(act()).catch(() => false)) location.assign('/')
    else setTrouble(true)
  }
  const isJoined = workshop === null || own.is === 'same'
  return (
    <div className="grid gap-4">
      <p>
        This screen is “{screen.name}”. {ownLogWords(own, workshop?.name ?? null)}
      </p>
      {trouble && (
        <p role="alert" className="border-l-3 border-bad pl-3">
          The browser refused to store it, or a hot run goes on here: nothing was changed. End the run or make room, and
          try again.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-ember"
          onClick={() =>
            void go(() => (isJoined || !workshop ? shareOwn(screen) : takeShared(screen, workshop, own.is === 'other')))
          }
        >
          {workshop === null ? 'Share it' : own.is === 'other' ? 'Lay it beside the shared one' : 'Go on'}
        </button>
        {own.is === 'other' && workshop && (
          <button type="button" className="btn" onClick={() => void go(() => takeShared(screen, workshop, false))}>
            Leave it out
          </button>
        )}
      </div>
    </div>
  )
}
