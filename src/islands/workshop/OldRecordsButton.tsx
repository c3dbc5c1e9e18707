import { lazy, Suspense, useState } from 'react'
import { SheetDialog } from '../SheetDialog'
import { FileButton } from './WorkshopFile'

/** Few read old notes in: what reads them is fetched when a file was chosen. */
const OldRecords = lazy(() => import('./OldRecords'))

/** Chooses a table of old notes, and shows what it holds before any of it is stored. */
export function OldRecordsButton() {
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
