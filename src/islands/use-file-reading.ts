import type { Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Result } from '../core/codes/result'
import type { FilesDoor } from '../workers/files.worker'
import { readFile } from '../workers/files-client'

/** A file that is being read on this page, and the way to stop it. */
export interface OnItsWay {
  readonly name: string
  readonly stop: () => void
}

/** Reads one small file at a time; the next, or leaving the page, stops the one before. */
export function useFileReading() {
  const [onItsWay, setOnItsWay] = useState<OnItsWay | null>(null)
  const stopLast = useRef<() => void>(() => undefined)
  useEffect(() => () => stopLast.current(), [])
  /** Null where it was stopped. */
  const read = async <T>(
    { name }: File,
    ask: (door: Remote<FilesDoor>) => Promise<Result<T>>,
  ): Promise<Result<T> | null> => {
    stopLast.current()
    const { done, stop } = readFile(ask)
    stopLast.current = stop
    setOnItsWay({ name, stop })
    const result = await done
    // Another one may have taken its place.
    if (stopLast.current === stop) setOnItsWay(null)
    return result
  }
  return { onItsWay, read }
}
