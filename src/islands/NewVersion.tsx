import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react'
import { isNewerWaiting, keepOffline, watchNewer } from '../offline/newer-version'
import { addressPart } from './address'

/** Seldom there: fetched when one is. */
const Offer = lazy(() => import('./NewVersionOffer'))

/** Offers a newer version that is ready; never in a run, where nothing may change under someone’s hands. */
export function NewVersion() {
  const isNewer = useSyncExternalStore(watchNewer, isNewerWaiting)
  useEffect(() => {
    // What this page needs comes first.
    if (import.meta.env.PROD) setTimeout(() => void keepOffline(), 1500)
  }, [])
  return isNewer && !['run', 'practice'].includes(addressPart(1)) ? (
    <Suspense fallback={null}>
      <Offer />
    </Suspense>
  ) : null
}
