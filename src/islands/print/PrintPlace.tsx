import { addMinutes } from 'date-fns/addMinutes'
import { format } from 'date-fns/format'
import { parse } from 'date-fns/parse'
import { roundToNearestMinutes } from 'date-fns/roundToNearestMinutes'
import { useState } from 'react'
import type { BatchModel } from '../../core/bench/batch-model'
import type { Result } from '../../core/codes/result'
import type { Batch } from '../../core/shop/batch'
import { useBatch, useReadings } from '../../store/hooks'
import { Problems } from '../../ui/Problems'
import { addressPart } from '../address'
import { useBatchModel } from '../batch/use-batch-model'
import { Place } from '../Place'
import { CutSheet } from './CutSheet'
import { LabelSheet } from './LabelSheet'
import { OvenSheet } from './OvenSheet'

export default function PrintPlace({ batchId = addressPart(2) }) {
  return (
    <Place>
      <Loaded batchId={batchId} />
    </Place>
  )
}

const SHEETS = [
  ['oven', 'Oven sheet'],
  ['cuts', 'Cut list'],
  ['each-cut', 'Each cut drawn, four a page'],
  ['labels', 'Packet labels'],
] as const
type SheetName = (typeof SHEETS)[number][0]

/** Minutes from now until an oven is switched on, when nobody says otherwise; on the quarter of an hour. */
const SOON_MIN = 10

function Loaded({ batchId }: { batchId: string }) {
  const batch = useBatch(batchId)
  const [sheets, setSheets] = useState<readonly SheetName[]>(['oven', 'cuts', 'labels'])
  const [onAt, setOnAt] = useState(() =>
    roundToNearestMinutes(addMinutes(new Date(), SOON_MIN), { nearestTo: 15, roundingMethod: 'ceil' }),
  )
  if (batch === undefined) return <p className="p-8">Reading …</p>
  if (!batch) return <p className="p-8">There is no such batch in this browser.</p>
  const has = (sheet: SheetName) => sheets.includes(sheet)
  return (
    <div className="mx-auto max-w-[186mm] px-4 py-6 print:p-0">
      <div className="no-print mb-6 flex flex-wrap items-end gap-x-5 gap-y-2">
        <button type="button" className="btn btn-ember" onClick={() => print()}>
          Print
        </button>
        <a className="btn" href={`/batch/${batch.id}/heat`}>
          Back to the bench
        </a>
        <label className="grid text-small">
          Oven on at
          <input
            type="time"
            className="field"
            value={format(onAt, 'HH:mm')}
            onChange={event => event.target.value && setOnAt(parse(event.target.value, 'HH:mm', onAt))}
          />
        </label>
        <fieldset className="flex flex-wrap gap-x-4">
          <legend className="sr-only">What is printed</legend>
          {SHEETS.map(([sheet, label]) => (
            <label key={sheet} className="inline-flex min-h-touch items-center gap-2 text-small">
              <input
                type="checkbox"
                checked={has(sheet)}
                onChange={event =>
                  setSheets(event.target.checked ? [...sheets, sheet] : sheets.filter(other => other !== sheet))
                }
              />
              {label}
            </label>
          ))}
        </fieldset>
      </div>
      {has('oven') && <OvenPart batch={batch} onAt={onAt} />}
      {(has('cuts') || has('each-cut')) && <CutSheet batch={batch} isEachCutDrawn={has('each-cut')} />}
      {has('labels') && <LabelSheet batch={batch} />}
    </div>
  )
}

/** The oven sheet, or why there is none: nothing is printed that is keyed into another oven. */
function OvenPart({ batch, onAt }: { batch: Batch; onAt: Date }) {
  const model = useBatchModel(batch, useReadings(batch.id), { isForPaper: true })
  if (!model) return <p className="p-8">Working out the programme …</p>
  const { oven, tempering, problems } = ovensOf(model)
  return model.ok && oven && tempering ? (
    <OvenSheet model={model.value} oven={oven} tempering={tempering} onAt={onAt} />
  ) : (
    <section className="print-page">
      <h1 className="text-title">{batch.name}: oven sheet</h1>
      <Problems of={problems.slice(0, 1)} />
    </section>
  )
}

/** The ovens of a batch, or why it has none. */
function ovensOf(model: Result<BatchModel>) {
  if (!model.ok) return { oven: null, tempering: null, problems: model.problems }
  const { oven, temperingOven } = model.value
  return {
    oven: oven.ok ? oven.value : null,
    tempering: temperingOven.ok ? temperingOven.value : null,
    problems: [oven, temperingOven].flatMap(found => (found.ok ? [] : found.problems)),
  }
}
