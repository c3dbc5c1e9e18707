import { lazy, Suspense } from 'react'
import { type BatchBlade, bladesOf } from '../../core/batch/tray'
import type { Batch } from '../../core/shop/batch'
import { useBatch, useBatchOfBlade } from '../../store/hooks'
import { addressPart } from '../address'
import { Place } from '../Place'

const BladeView = lazy(() => import('./BladeView'))

/** One blade, as its label opens it: what it is, where it lay, how hard it is. */
export default function BladePlace({ id = addressPart(2), mark = addressPart(3) }) {
  return <Place>{mark === '' ? <ById id={id} /> : <ByMark batchId={id} mark={mark} />}</Place>
}

function ById({ id }: { id: string }) {
  const batch = useBatchOfBlade(id)
  if (batch === undefined) return <p className="p-6 text-ink-2">Reading …</p>
  const blade = batch && bladesOf(batch).find(b => b.id === id)
  return batch && blade ? <Blade batch={batch} blade={blade} /> : <NoBlade />
}

/** Labels printed before blades had ids: they find their blade while it is still marked so. */
function ByMark({ batchId, mark }: { batchId: string; mark: string }) {
  const batch = useBatch(batchId)
  if (batch === undefined) return <p className="p-6 text-ink-2">Reading …</p>
  const [blade, other] = batch ? bladesOf(batch).filter(b => b.mark === mark) : []
  return batch && blade && !other ? <Blade batch={batch} blade={blade} /> : <NoBlade mark={mark} />
}

const NoBlade = ({ mark = '' }: { mark?: string }) => (
  <div className="p-6">
    <h1 className="text-heading">There is no {mark === '' ? 'such blade' : `blade ${mark}`} here</h1>
    <p className="my-3">
      It belongs to another browser, was taken off its tray, or its mark was changed since the label was printed.
    </p>
    <a className="btn btn-ember" href="/batches">
      See all batches
    </a>
  </div>
)

/** Fetches the drawing code while the blade is read. */
const Blade = ({ batch, blade }: { batch: Batch; blade: BatchBlade }) => (
  <Suspense fallback={<p className="p-6 text-ink-2">Reading …</p>}>
    <BladeView batch={batch} blade={blade} />
  </Suspense>
)
