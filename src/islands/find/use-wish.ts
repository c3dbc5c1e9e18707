import { useEffect } from 'react'

/** Listens for a wish from anywhere on the page, such as a button of the rail. */
export function useWish(name: string, act: () => void): void {
  useEffect(() => {
    addEventListener(name, act)
    return () => removeEventListener(name, act)
  }, [name, act])
}
