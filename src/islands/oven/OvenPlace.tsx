import { lazy, Suspense, useState } from 'react'
import { changeOven } from '../../store/records'
import { ViewChoice } from '../../ui/ViewChoice'
import { powerText } from '../../words/speaker'
import { addressPart } from '../address'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { OvenFields } from './OvenFields'
import type { EditOven } from './oven-props'

const CorrectionView = lazy(() => import('./CorrectionView'))
const LogsView = lazy(() => import('./LogsView'))

const VIEWS = [
  ['oven', 'The oven'],
  ['correction', 'Correction'],
  ['logs', 'Logs and fit'],
] as const
type View = (typeof VIEWS)[number][0]

export default function OvenPlace({ id = addressPart(2) }) {
  return (
    <Place>
      <LoadedOven id={id} />
    </Place>
  )
}

/** One oven: what it is, what must be keyed into it, and what its logs taught. */
function LoadedOven({ id }: { id: string }) {
  const shop = useShopNow()
  const [view, setView] = useState<View>('oven')
  const oven = shop.ovens.find(o => o.id === id)
  if (!oven)
    return (
      <div className="p-6">
        <h1 className="text-heading">There is no such oven in this workshop</h1>
        <a className="btn btn-ember mt-4" href="/workshop">
          To the workshop
        </a>
      </div>
    )
  const edit: EditOven = change => changeOven(oven.id, change)
  return (
    <div className="px-4 py-5 md:px-8">
      <header className="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1 className="text-page">{oven.name || 'Oven without a name'}</h1>
        <p className="min-w-40 flex-1 text-small text-ink-2">
          {oven.use === 'hardening' ? 'hardening' : 'tempering'}, {powerText(oven.powerW)} ·{' '}
          <a className="link" href="/workshop">
            all of the workshop
          </a>
        </p>
        <ViewChoice views={VIEWS} view={view} onView={setView} />
      </header>
      {view === 'oven' && <OvenFields oven={oven} edit={edit} />}
      <Suspense fallback={<p className="text-ink-2">Reading …</p>}>
        {view === 'correction' && <CorrectionView oven={oven} edit={edit} />}
        {view === 'logs' && <LogsView oven={oven} edit={edit} />}
      </Suspense>
    </div>
  )
}
