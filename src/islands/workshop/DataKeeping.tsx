import { useRef, useState } from 'react'
import { toast } from 'sonner'
import { type Exchange, parseExchange } from '../../core/record/exchange'
import { readingsCsv } from '../../core/record/readings-csv'
import { clearAll, readAll, writeAll } from '../../store/backup'
import { Ask } from '../../ui/Ask'
import { DEMO_SEED } from '../Place'
import { download, saveEverything } from '../save-everything'

/** A workshop file larger than this is not read at one go, MB. */
const MOST_MB = 200

/** Data stays in this browser and in files: both ways out, and the way back in. */
export function DataKeeping() {
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
    else setTrouble(parsed.problems[0]?.message ?? 'This file cannot be read.')
    if (input.current) input.current.value = ''
  }
  const take = async (mode: 'add' | 'replace') => {
    if (!read) return
    const { shop, batches, readings, recipes, runs, grades, logs } = read
    if (await writeAll({ shop, batches, readings, recipes, runs, grades, logs }, mode))
      toast(`${batches.length} batches and ${readings.length} readings read in.`)
    setRead(null)
  }
  const csv = async () => {
    const { readings, batches } = await readAll()
    download('readings.csv', 'text/csv', readingsCsv(readings, batches))
  }
  const demo = async () => {
    const { makeDemoWorkshop } = await import('../../simulators/demo/make-demo')
    if (await writeAll(makeDemoWorkshop(DEMO_SEED, new Date()), 'replace')) toast('The demo workshop is loaded.')
  }
  return (
    <section className="mt-10 border-t border-rule-strong pt-3" aria-label="Data">
      <h2 className="text-[17px]">Data</h2>
      <p className="mb-3 text-ink-2">
        Everything stays in this browser, and in the files you save. Nothing is sent anywhere.
      </p>
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
          says="All batches, readings, recipes and runs are deleted from this browser; settings stay. Save everything to a file first."
          act="Delete and start empty"
          onAct={async () => void ((await clearAll()) && toast('The workshop is empty.'))}
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
            {read.readings.length} readings, {read.recipes.length} recipes, {read.runs.length} runs.
          </p>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-ember" onClick={() => void take('add')}>
              Add to what is here
            </button>
            <button type="button" className="btn" onClick={() => void take('replace')}>
              Replace what is here
            </button>
            <button type="button" className="btn btn-plain" onClick={() => setRead(null)}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </section>
  )
}
