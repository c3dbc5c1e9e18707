import { useMemo, useRef, useState } from 'react'
import { toast } from 'sonner'
import { type Exchange, parseExchange, type WorkshopData } from '../../core/files/exchange'
import { looseEndsOf } from '../../core/files/loose-ends'
import { readingsCsv } from '../../core/files/readings-csv'
import { addAll, batchesOf, clearAll, readAll, replaceAll } from '../../store/backup'
import { Ask } from '../../ui/Ask'
import { useSay } from '../../ui/Units'
import { adoptionWords, looseEndWords } from '../../words/files'
import { problemWords } from '../../words/problems'
import { DEMO_SEED } from '../Place'
import { download, saveEverything } from '../save-everything'
import { KeptHere } from './KeptHere'

/** A workshop file larger than this is not read at one go, MB. */
const MOST_MB = 200

/** Data stays in this browser and in files: both ways out, and the way back in. */
export function DataKeeping() {
  const say = useSay()
  const input = useRef<HTMLInputElement>(null)
  const [read, setRead] = useState<Exchange | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const open = async (file: File | undefined) => {
    setTrouble(null)
    if (!file) return
    if (file.size > MOST_MB * 1e6)
      return setTrouble(`This file is ${Math.round(file.size / 1e6)} MB; up to ${MOST_MB} MB can be read.`)
    const parsed = parseExchange(await file.text())
    if (parsed.ok) setRead(parsed.value)
    else setTrouble(parsed.problems.map(found => problemWords(found, say)).join(' '))
    if (input.current) input.current.value = ''
  }
  const add = async () => {
    if (!read) return
    const adopted = await addAll(read)
    if (adopted) {
      toast(`${read.batches.length} batches and ${read.readings.length} readings read in.`)
      for (const sentence of adoptionWords(adopted)) toast(sentence, { duration: 30_000 })
    }
    setRead(null)
  }
  const replace = async () => {
    if (read && (await replaceAll(read)).saved)
      toast(`${read.batches.length} batches and ${read.readings.length} readings read in.`)
    setRead(null)
  }
  const csv = async () => {
    const data = await readAll()
    download('readings.csv', 'text/csv', readingsCsv(data.readings, batchesOf(data)))
  }
  const demo = async () => {
    const { makeDemoWorkshop } = await import('../../simulators/demo/make-demo')
    if ((await replaceAll(makeDemoWorkshop(DEMO_SEED, new Date()))).saved) toast('The demo workshop is loaded.')
  }
  return (
    <section id="data" className="mt-10 border-t border-rule-strong pt-3" aria-label="Data">
      <h2 className="text-large">Data</h2>
      <p className="mb-3 text-ink-2">
        Everything stays in this browser, and in the files you save. Nothing is sent anywhere.
      </p>
      <KeptHere />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-ember" onClick={() => void saveEverything()}>
          Save everything to a file
        </button>
        <button type="button" className="btn" onClick={() => input.current?.click()}>
          Read a workshop file …
        </button>
        <button type="button" className="btn" onClick={() => void csv()}>
          Readings as CSV
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
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          className="sr-only"
          aria-label="Workshop file"
          tabIndex={-1}
          onChange={event => void open(event.target.files?.[0])}
        />
      </div>
      {trouble && (
        <p role="alert" className="mt-3 border-l-3 border-bad pl-3 text-bad">
          {trouble}
        </p>
      )}
      {read && (
        <div role="status" className="mt-3 border border-rule-strong p-4">
          <p className="mb-3">
            From {read.shop.name}, saved {read.exportedAt.slice(0, 10)}: {read.batches.length} batches,{' '}
            {read.blades.length} blades, {read.readings.length} readings, {read.recipes.length} recipes,{' '}
            {read.runs.length} runs.
          </p>
          <LooseEnds data={read} />
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-ember" onClick={() => void add()}>
              Add to what is here
            </button>
            <button type="button" className="btn" onClick={() => void replace()}>
              Replace what is here
            </button>
            <button type="button" className="btn btn-plain" onClick={() => setRead(null)}>
              Cancel
            </button>
          </div>
        </div>
      )}
    </section>
  )
}

/** What in a file points nowhere, by name: it is kept as it is. */
function LooseEnds({ data }: { data: WorkshopData }) {
  const ends = useMemo(() => looseEndsOf(data), [data])
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
