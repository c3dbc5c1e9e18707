import { lazy, Suspense, useEffect, useState } from 'react'
import type { LooseEnd } from '../../core/files/loose-ends'
import { clearAll, replaceAll } from '../../store/backup'
import { askToKeep, isKept, noteOwn, useLastSaved } from '../../store/keeping'
import { isShared } from '../../store/shared-mark'
import { Ask } from '../../ui/Ask'
import { ago } from '../../ui/dates'
import { More } from '../../ui/More'
import { toast } from '../../ui/toast'
import { looseEndWords, openedWords } from '../../words/files'
import { SheetDialog } from '../SheetDialog'
import { saveEverything } from '../save-everything'
import { saveTable } from '../save-table'
import { demoWorkshop } from '../use-beginning'
import { BackUpPart } from './BackUpPart'
import { DeletedPart } from './DeletedPart'
import { DifferencesPart } from './DifferencesPart'
import ScreensPart from './ScreensPart'
import { useWorkshopFile } from './use-workshop-file'
import { FileButton, WorkshopFileButton, WorkshopFileProgress } from './WorkshopFile'

/** Few read old notes in: what reads them is fetched when a file was chosen. */
const OldRecords = lazy(() => import('./OldRecords'))

/** Chooses a table of old notes, and shows what it holds before any of it is stored. */
function OldRecordsButton() {
  const [file, setFile] = useState<File | null>(null)
  return (
    <>
      <FileButton
        className="btn"
        label="Table of old notes"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        onFile={setFile}
      >
        Read old notes …
      </FileButton>
      <SheetDialog title="Old notes" open={file !== null} onOpen={open => !open && setFile(null)}>
        <Suspense fallback={<p className="my-3 text-ink-2">Opening …</p>}>
          {file && <OldRecords file={file} onDone={() => setFile(null)} />}
        </Suspense>
      </SheetDialog>
    </>
  )
}

/** When the log last went into a file, and whether the browser keeps what is here when space runs short. */
function KeptHere() {
  const saved = useLastSaved()
  const [kept, setKept] = useState<boolean | null>(null)
  useEffect(() => {
    void isKept().then(setKept)
  }, [])
  return (
    <p className="mb-3">
      {saved === undefined
        ? ''
        : saved === null
          ? 'Never saved to a file from this browser. '
          : `Last saved to a file ${ago(saved)}. `}
      {kept === true && 'The browser has promised to keep the log when space runs short.'}
      {kept === false && (
        <>
          The browser may clear the log when space runs short.{' '}
          <button type="button" className="link" onClick={() => void askToKeep().then(setKept)}>
            Protect this data from being cleared
          </button>
        </>
      )}
    </p>
  )
}

const ReadCode = lazy(() => import('../code/ReadCode'))

/** Reads a recipe or a blade off another browser's screen. */
function ReadCodeButton() {
  const [open, setOpen] = useState(false)
  return (
    <SheetDialog
      title="Read a code"
      open={open}
      onOpen={setOpen}
      trigger={
        <button type="button" className="btn">
          Read a code …
        </button>
      }
    >
      <Suspense fallback={<p className="my-3 text-ink-2">Opening …</p>}>{open && <ReadCode />}</Suspense>
    </SheetDialog>
  )
}

/** Data stays in this browser and in files: both ways out, and the way back in. */
export default function DataKeeping() {
  const { opened, doing, trouble, open, add, replace, close } = useWorkshopFile()
  const demo = async () => {
    if (!(await replaceAll(await demoWorkshop())).saved) return
    noteOwn(false)
    toast('The demo workshop is loaded.')
  }
  return (
    <>
      <section id="data" className="mt-10 border-t border-rule-strong pt-3" aria-label="Data">
        <h2 className="text-large">Data</h2>
        <p className="mb-3 text-ink-2">
          {isShared()
            ? 'Everything is in this browser, on the workshop’s other screens and on its server, and in the files you save. Nothing leaves the local network.'
            : 'Everything stays in this browser, and in the files you save. Nothing is sent anywhere.'}
        </p>
        <KeptHere />
        <BackUpPart />
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-ember" onClick={() => void saveEverything()}>
            Save everything to a file
          </button>
          <WorkshopFileButton className="btn" onFile={file => void open(file)}>
            Read a workshop file …
          </WorkshopFileButton>
        </div>
        <More place="data" title="More" says="old notes, codes, tables, the demo, starting empty">
          <div className="flex flex-wrap gap-2">
            <OldRecordsButton />
            <ReadCodeButton />
            <button type="button" className="btn" onClick={() => void saveTable('readings')}>
              Readings as CSV
            </button>
            <button type="button" className="btn" onClick={() => void saveTable('blades')}>
              Blades as CSV
            </button>
            <Ask
              title="Load the demo workshop?"
              says="It replaces what is in this browser. Save everything to a file first if you want it back."
              act="Replace with the demo"
              onAct={demo}
            >
              Load the demo …
            </Ask>
            <Ask
              title="Start with an empty workshop?"
              says="Everything in this browser is deleted: batches, readings, recipes, runs, ovens, checks and prices. Only the units and the theme stay. Save everything to a file first if you want it back."
              act="Delete and start empty"
              onAct={async () => {
                if ((await clearAll()).saved) toast('The workshop is empty.')
              }}
            >
              Start empty …
            </Ask>
          </div>
        </More>
        <WorkshopFileProgress doing={doing} trouble={trouble} onStop={close} />
        {opened && !doing && (
          <div role="status" className="mt-3 border border-rule-strong p-4">
            <p className="mb-3">From {openedWords(opened)}</p>
            <LooseEnds ends={opened.looseEnds} />
            <div className="flex flex-wrap gap-2">
              <button type="button" className="btn btn-ember" onClick={() => void add()}>
                Add to what is here
              </button>
              <Ask
                title="Replace what is here?"
                says="Everything in this browser gives way to what is in the file. Save everything to a file first if you want it back."
                act="Replace with the file"
                onAct={async () => void (await replace())}
              >
                Replace what is here …
              </Ask>
              <button type="button" className="btn btn-plain" onClick={close}>
                Cancel
              </button>
            </div>
          </div>
        )}
        <DifferencesPart />
        <DeletedPart />
      </section>
      <ScreensPart />
    </>
  )
}

/** Lists references of a file that point nowhere, by name; they are stored as they are. */
function LooseEnds({ ends }: { ends: readonly LooseEnd[] }) {
  if (ends.length === 0) return null
  return (
    <ul className="mb-3 max-h-40 space-y-1 overflow-auto text-small" aria-label="What refers to something missing">
      {ends.map((end, i) => (
        <li key={i} className="border-l-3 border-bad pl-3">
          {looseEndWords(end)}
        </li>
      ))}
    </ul>
  )
}
