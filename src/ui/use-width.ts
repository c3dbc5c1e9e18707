import { type RefObject, useEffect, useState } from 'react'

/** Width of an element in CSS pixels, followed as it changes; 0 before it is laid out. */
export function useWidth(ref: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(() => setWidth(element.clientWidth))
    // It tells the first width as well, once the page is laid out: asked for now, the layout would be made twice.
    observer.observe(element)
    return () => observer.disconnect()
  }, [ref])
  return width
}
