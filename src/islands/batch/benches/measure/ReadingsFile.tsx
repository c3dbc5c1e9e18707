import { useState } from 'react'
import type { ReadingsImport } from '../../../../core/files/readings-import'
import type { Stage } from '../../../../core/shop/route'
import { megabytesOf } from '../../../../core/units/bytes'
import { useSay } from '../../../../ui/Units'
import { problemWords, rowWords } from '../../../../words/problems'
import { stageName } from '../../../../words/stages'
import { FileOnItsWay } from '../../../FileOnItsWay'
import { useFileReading } from '../../../use-file-reading'
import { useBench } from '../../bench-context'

interface Props {
  /** Stands in where the file has no column of stages. */
  readonly stage: Stage
  readonly onTake: (read: ReadingsImport['readings']) => Promise<boolean>
}

const MOST_MB = 5

/** A tester's own file: read, shown with what is left out, and only then recorded. */
export function ReadingsFile({ stage, onTake }: Props) {
  const say = useSay()
  const { batch } = useBench()
  const [read, setRead] = useState<ReadingsImport | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const reading = useFileReading()
  const choose = async (file: File) => {
    setRead(null)
    setTrouble(null)
    if (megabytesOf(file.size) > MOST_MB)
      return setTrouble(`This file is over ${MOST_MB} MB: it is no tester’s list of readings.`)
    const result = await reading.read(file, door => door.readings(file, batch, stage))
    if (!result) return
    setTrouble(result.ok ? null : result.problems.map(found => problemWords(found, say)).join(' '))
    if (result.ok) setRead(result.value)
  }
  return (
    <>
      <label className="btn cursor-pointer focus-within:outline-2">
        A tester’s file …
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className="sr-only"
          onChange={event => {
            const file = event.target.files?.[0]
            if (file) void choose(file)
            event.target.value = ''
          }}
        />
      </label>
      <FileOnItsWay file={reading.onItsWay} />
      {trouble && (
        <p role="alert" className="w-full text-small text-bad">
          {trouble}
        </p>
      )}
      {read && (
        <div className="w-full border-l-3 border-rule-strong pl-3 text-small">
          <p>
            {read.readings.length} readings of {new Set(read.readings.map(r => r.bladeId)).size} blades,{' '}
            {[...new Set(read.readings.map(r => stageName(r.stage)))].join(', ')}.
          </p>
          {read.skipped.slice(0, 4).map(s => (
            <p key={s.path} className="text-bad">
              {rowWords(s, say)}
            </p>
          ))}
          {read.skipped.length > 4 && <p className="text-bad">And {read.skipped.length - 4} more lines left out.</p>}
          <button
            type="button"
            className="btn btn-ember mt-1"
            onClick={() => void onTake(read.readings).then(done => done && setRead(null))}
          >
            Record them
          </button>
        </div>
      )}
    </>
  )
}
