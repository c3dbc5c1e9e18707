import { lazy, Suspense, useCallback, useEffect, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { unlessTyping } from '../keys'
import { useWish } from './use-wish'

// Both come when they are first asked for.
const Finder = lazy(() => import('./Finder'))
const KeysDialog = lazy(() => import('./KeysDialog'))

/** Parts of every place: the finder and the list of its keys. */
export function Everywhere() {
  const [shown, setShown] = useState<'none' | 'finder' | 'keys'>('none')
  const find = useCallback(() => setShown('finder'), [])
  const keys = useCallback(() => setShown('keys'), [])
  useWish('tawny-ember-find', find)
  useEffect(
    () =>
      tinykeys(window, {
        '$mod+k': event => {
          event.preventDefault()
          find()
        },
        '/': unlessTyping(find),
        '?': unlessTyping(keys),
        'Shift+?': unlessTyping(keys),
      }),
    [find, keys],
  )
  return (
    <Suspense fallback={null}>
      {shown === 'finder' && <Finder open onOpen={open => !open && setShown('none')} onKeys={keys} />}
      {shown === 'keys' && <KeysDialog open onOpen={open => !open && setShown('none')} />}
    </Suspense>
  )
}
