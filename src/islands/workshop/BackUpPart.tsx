import { useState } from 'react'
import { megabytesOf } from '../../core/units/bytes'
import { usePickedFolder } from '../../store/back-up-folder'
import { KEPT } from '../../store/back-ups'
import { ago } from '../../ui/dates'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { backUp, canBackUp, chooseFolder, stopBackUps } from '../back-up'

/** Back-ups by themselves into a folder of the disk: where, when the last was, and what is in the way. */
export function BackUpPart() {
  const say = useSay()
  const picked = usePickedFolder()
  const [busy, setBusy] = useState(false)
  const during = (act: () => Promise<unknown>) => () => {
    setBusy(true)
    void act().finally(() => setBusy(false))
  }
  if (!canBackUp())
    return (
      <p className="mb-3 text-small text-ink-2">
        This browser cannot write into a folder by itself: save everything to a file now and then. Today reminds you.
      </p>
    )
  if (picked === undefined) return null
  if (picked === null)
    return (
      <p className="mb-3 flex flex-wrap items-center gap-3">
        <button type="button" className="btn" disabled={busy} onClick={during(chooseFolder)}>
          Back up into a folder …
        </button>
        <span className="min-w-60 flex-1 text-small text-ink-2">
          Each day and after each run a file goes into it by itself. The newest {KEPT.newest} stay, the largest, and one
          of each month before. A stick or another disk is best.
        </span>
      </p>
    )
  return (
    <div className="mb-3 border-l-3 border-rule-strong pl-3">
      <p>
        Backs up by itself into the folder <strong>{picked.handle.name}</strong>, each day and after each run.{' '}
        {picked.last
          ? `Last ${ago(picked.last.at)}: ${picked.last.name}, ${megabytesOf(picked.last.bytes).toFixed(1)} MB, read back and checked.`
          : 'None is in it yet.'}
      </p>
      {picked.trouble && (
        <p role="alert" className="text-bad">
          {problemWords(picked.trouble, say)}
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" disabled={busy} onClick={during(() => backUp({ ask: true }))}>
          {busy ? 'Writing and reading back …' : 'Back up now'}
        </button>
        <button type="button" className="btn btn-plain" disabled={busy} onClick={during(chooseFolder)}>
          Another folder …
        </button>
        <button type="button" className="btn btn-plain" disabled={busy} onClick={during(stopBackUps)}>
          Stop
        </button>
      </p>
    </div>
  )
}
