import { proxy } from 'comlink'
import { useRef, useState } from 'react'
import { type Problem, problem } from '../../core/codes/problem'
import type { ToldShare } from '../../core/files/pieces'
import { megabytesOf } from '../../core/units/bytes'
import { forgetHistory } from '../../store/history'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { addedWords, readInWords } from '../../words/files'
import { problemWords } from '../../words/problems'
import type { OpenedFile } from '../../workers/files.worker'
import { type FilesWorker, startFiles } from '../../workers/files-client'

/** A workshop file larger than this is not read at one go, MB. */
const MOST_MB = 200

/** Operation on a file, and the share that is done, 0 to 1; null until any is. */
export interface Doing {
  readonly what: 'reading' | 'storing'
  readonly share: number | null
}

/** A workshop file on its way in: read and checked, then added or put in the place of what is here. Each step can be stopped. */
export function useWorkshopFile() {
  const say = useSay()
  const files = useRef<FilesWorker | null>(null)
  const [opened, setOpened] = useState<OpenedFile | null>(null)
  const [doing, setDoing] = useState<Doing | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)

  const close = () => {
    files.current?.stop()
    files.current = null
    setOpened(null)
    setDoing(null)
  }
  const fail = (problems: readonly Problem[]) => {
    close()
    setTrouble(problems.map(found => problemWords(found, say)).join(' '))
  }
  const lost = () => fail([problem('worker-failed', {})])

  /** Begins something with a file: hears how much of it is done. */
  const begin = (what: Doing['what']): ToldShare => {
    setDoing({ what, share: null })
    // What ends with its worker may be heard of a moment later.
    const worker = files.current
    return proxy((share: number) => {
      if (files.current === worker) setDoing(doing => (doing?.what === what ? { what, share } : doing))
    })
  }

  const open = async (file: File) => {
    close()
    setTrouble(null)
    if (megabytesOf(file.size) > MOST_MB)
      return setTrouble(`This file is ${Math.round(megabytesOf(file.size))} MB; up to ${MOST_MB} MB can be read.`)
    const started = startFiles()
    files.current = started
    const read = await Promise.race([started.door.open(file, begin('reading')), started.broken]).catch(() => null)
    if (files.current !== started) return
    if (!read) return lost()
    if (!read.ok) return fail(read.problems)
    setOpened(read.value)
    setDoing(null)
  }
  /** Stores what was read, and says what came of it. Whether it is stored. */
  const store = async <T>(
    way: (
      door: FilesWorker['door'],
      told: ToldShare,
    ) => Promise<{ readonly stored: T } | { readonly problem: Problem | null }>,
    saying: (stored: T) => readonly string[],
  ): Promise<boolean> => {
    const started = files.current
    if (!started || !opened) return false
    const done = await Promise.race([way(started.door, begin('storing')), started.broken]).catch(() => null)
    if (files.current !== started) return false
    if (!done || 'problem' in done) {
      fail([done?.problem ?? problem('worker-failed', {})])
      return false
    }
    // What was done before can no longer be taken back: it was done to other data.
    forgetHistory()
    toast(readInWords(opened.counts))
    for (const sentence of saying(done.stored)) toast(sentence, { duration: 30_000 })
    close()
    return true
  }
  return {
    opened,
    doing,
    trouble,
    open,
    close,
    add: () => store((door, told) => door.add(told), addedWords),
    replace: () =>
      store(
        (door, told) => door.replace(told),
        () => [],
      ),
  }
}
