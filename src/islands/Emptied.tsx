import { openedWords } from '../words/files'
import { useWorkshopFile } from './workshop/use-workshop-file'
import { WorkshopFileButton, WorkshopFileProgress } from './workshop/WorkshopFile'

interface Props {
  /** Goes on, with what is stored by then or with a first visit's data. */
  readonly onGoOn: (first: 'demo' | 'empty') => void
}

/** This browser held somebody's workshop and holds nothing now: nothing is put in its place before it is said what. */
export default function Emptied({ onGoOn }: Props) {
  const { opened, doing, trouble, open, replace, close } = useWorkshopFile()
  return (
    <main className="mx-auto max-w-[720px] px-4 py-10">
      <h1 className="text-page">Your workshop is gone from this browser</h1>
      <p className="my-3">
        It was kept here, at {location.host}, and now there is nothing: the browser was told to clear its data, or
        cleared them itself for want of room. Read back the newest file you saved; what was entered after it is lost.
        Nothing has been put in its place yet.
      </p>
      {opened && !doing ? (
        <div role="status" className="border border-rule-strong p-4">
          <p className="mb-3">{openedWords(opened)}</p>
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-ember"
              onClick={() => void replace().then(done => done && onGoOn('empty'))}
            >
              Read it back
            </button>
            <button type="button" className="btn btn-plain" onClick={close}>
              Another file
            </button>
          </div>
        </div>
      ) : (
        <div className="flex flex-wrap gap-2">
          <WorkshopFileButton className="btn btn-ember" disabled={doing !== null} onFile={file => void open(file)}>
            Read back a workshop file …
          </WorkshopFileButton>
          <button type="button" className="btn" onClick={() => onGoOn('empty')}>
            Begin a new workshop
          </button>
          <button type="button" className="btn" onClick={() => onGoOn('demo')}>
            Look at the demo
          </button>
        </div>
      )}
      <WorkshopFileProgress doing={doing} trouble={trouble} onStop={close} />
    </main>
  )
}
