import { lazy, Suspense, useCallback, useEffect, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { unlessTyping } from '../keys'

/** Listens for a wish from anywhere on the page, such as a button of the rail; one that came before the page was ready is met now. */
function useWish(name: string, act: () => void): void {
  useEffect(() => {
    const { dataset } = document.documentElement
    const meet = () => {
      delete dataset.wish
      act()
    }
    if (dataset.wish === name) meet()
    addEventListener(name, meet)
    return () => removeEventListener(name, meet)
  }, [name, act])
}

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
