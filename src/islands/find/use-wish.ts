import { useEffect } from 'react'

/** Listens for a wish from anywhere on the page, such as a button of the rail; one that came before the page was ready is met now. */
export function useWish(name: string, act: () => void): void {
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
