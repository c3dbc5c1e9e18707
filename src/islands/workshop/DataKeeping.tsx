import type { LooseEnd } from '../../core/files/loose-ends'
import { clearAll, replaceAll } from '../../store/backup'
import { Ask } from '../../ui/Ask'
import { toast } from '../../ui/toast'
import { looseEndWords, openedWords } from '../../words/files'
import { ReadCodeButton } from '../code/ReadCodeButton'
import { saveEverything } from '../save-everything'
import { saveTable } from '../save-table'
import { demoWorkshop } from '../use-beginning'
import { BackUpPart } from './BackUpPart'
import { DeletedPart } from './DeletedPart'
import { KeptHere } from './KeptHere'
import { OldRecordsButton } from './OldRecordsButton'
import { useWorkshopFile } from './use-workshop-file'
import { WorkshopFileButton, WorkshopFileProgress } from './WorkshopFile'

/** Data stays in this browser and in files: both ways out, and the way back in. */
export default function DataKeeping() {
  const { opened, doing, trouble, open, add, replace, close } = useWorkshopFile()
  const demo = async () => {
    if ((await replaceAll(await demoWorkshop())).saved) toast('The demo workshop is loaded.')
  }
  return (
    <section id="data" className="mt-10 border-t border-rule-strong pt-3" aria-label="Data">
      <h2 className="text-large">Data</h2>
      <p className="mb-3 text-ink-2">
        Everything stays in this browser, and in the files you save. Nothing is sent anywhere.
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
      <DeletedPart />
    </section>
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
