import { lazy, Suspense, useState } from 'react'
import type { ScreenRow } from '../../core/sharing/messages'
import { leaveSharing, removeScreen, renameScreen } from '../../sharing/link'
import { isShared } from '../../store/shared-mark'
import { Ask } from '../../ui/Ask'
import { ago, clock } from '../../ui/dates'
import { TextField } from '../../ui/PlainFields'
import { lastSeenWords, notSharedAsFiles, ROLE_NAMES, standingWords } from '../../words/sharing'
import { isServedAsFiles } from '../as-files'
import { SheetDialog } from '../SheetDialog'
import { useSharing } from '../sharing/use-sharing'

const AddScreen = lazy(() => import('./AddScreen'))

/** Screens that share this workshop: who is here, and the way for another one in. Where nothing is shared, how to begin. */
export default function ScreensPart() {
  return (
    <section id="screens" className="mt-10 border-t border-rule-strong pt-3" aria-label="Screens">
      <h2 className="text-large">Screens</h2>
      {isShared() ? <Shared /> : <NotShared />}
    </section>
  )
}

function NotShared() {
  const serves = document.documentElement.dataset.shared === 'on'
  if (isServedAsFiles()) return <p className="text-ink-2">{notSharedAsFiles}</p>
  return (
    <p className="text-ink-2">
      {serves ? (
        <>
          This server shares a workshop, and this browser is none of its screens.{' '}
          <a className="link" href="/join">
            Come in with a code
          </a>
        </>
      ) : (
        <>
          One workshop can stand on several screens: a desk, a tablet at the oven, a phone at the tester. Start the
          application with <code>npm start -- --shared</code>, and open the address it prints.
        </>
      )}
    </p>
  )
}

function Shared() {
  const now = useSharing()
  const [adding, setAdding] = useState(false)
  return (
    <>
      <p className="mb-3 text-ink-2">
        {standingWords(now, now.awaySince ? clock(new Date(now.awaySince)) : '')}. Every change shows on each of these
        screens; what is changed while one is out of reach joins when it is back.
      </p>
      <ul className="mb-3 max-w-3xl">
        {now.screens.map(screen => (
          <ScreenLine key={screen.id} screen={screen} isThis={screen.id === now.you} mayChange={now.role === 'works'} />
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {now.role === 'works' && (
          <SheetDialog
            title="Add a screen"
            open={adding}
            onOpen={setAdding}
            trigger={
              <button type="button" className="btn btn-ember" disabled={now.phase !== 'in-step'}>
                Add a screen …
              </button>
            }
          >
            <Suspense fallback={<p className="my-3 text-ink-2">Opening …</p>}>{adding && <AddScreen />}</Suspense>
          </SheetDialog>
        )}
        <Ask
          title="Leave the shared workshop?"
          says="What is on this screen stays on it and goes on by itself: nothing that is changed here reaches the others any more, nor theirs this screen."
          act="Leave"
          onAct={async () => {
            leaveSharing()
            location.reload()
          }}
        >
          Leave the shared workshop …
        </Ask>
      </div>
    </>
  )
}

interface LineProps {
  readonly screen: ScreenRow
  readonly isThis: boolean
  readonly mayChange: boolean
}

function ScreenLine({ screen, isThis, mayChange }: LineProps) {
  const { id, name, role, isHere, lastSeenAt } = screen
  return (
    <li className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule py-2">
      <div className="min-w-52 flex-1">
        {mayChange ? (
          <TextField
            label="Name of the screen"
            hideLabel
            value={name}
            longest={40}
            onCommit={async text => {
              renameScreen(id, text)
              return { saved: true, problems: [] }
            }}
          />
        ) : (
          name
        )}
      </div>
      <p className="min-w-60 flex-1 py-2">
        {lastSeenWords({ isThis, isHere, ago: lastSeenAt && ago(lastSeenAt) })}
        <span className="block text-small text-ink-2">{ROLE_NAMES[role]}</span>
      </p>
      {mayChange && !isThis && (
        <Ask
          title={`Remove ${name}?`}
          says="It is cut off at once, and nothing more reaches it. What it holds stays on it. To come back it needs a new code."
          act="Remove"
          onAct={async () => removeScreen(id)}
        >
          Remove …
        </Ask>
      )}
    </li>
  )
}
