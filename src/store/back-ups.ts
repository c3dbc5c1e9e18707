import { fail, ok, type Result } from '../core/codes/result'

/** A folder that back-ups go into, as far as they need one. */
export interface BackUpFolder {
  readonly files: () => Promise<readonly BackUpFile[]>
  /** Whole or not at all. */
  readonly write: (name: string, file: Blob) => Promise<void>
  readonly read: (name: string) => Promise<Blob>
  readonly remove: (name: string) => Promise<void>
}

export interface BackUpFile {
  readonly name: string
  readonly bytes: number
}

export interface BackUp {
  readonly name: string
  readonly at: string
  readonly bytes: number
}

/** So many newest files are kept, and the last one of each of so many months before. */
export const KEPT = { newest: 10, months: 24 } as const

const NAME = /^tawny-ember-(\d{4}-\d{2})-\d{2}-\d{6}\.json$/

/** In the order of time when sorted by name. @example backUpName(new Date(0)) // 'tawny-ember-1970-01-01-000000.json' */
export const backUpName = (at: Date): string =>
  `tawny-ember-${at.toISOString().slice(0, 19).replaceAll(':', '').replace('T', '-')}.json`

/**
 * Back-ups that are let go: what else lies in the folder is never touched. The largest always stays: where a log was lost, the small
 * files that follow day by day must not push out the last whole one.
 */
export function outlived(files: readonly BackUpFile[]): string[] {
  const own = files.filter(file => NAME.test(file.name)).sort((one, other) => (one.name < other.name ? 1 : -1))
  const largest = own.reduce<BackUpFile | null>((most, file) => (most && most.bytes >= file.bytes ? most : file), null)
  const older = own.slice(KEPT.newest)
  const months = new Set(own.slice(0, KEPT.newest).map(file => NAME.exec(file.name)?.[1]))
  let kept = 0
  return older
    .filter(({ name }) => {
      if (name === largest?.name) return false
      const month = NAME.exec(name)?.[1]
      if (months.has(month) || kept >= KEPT.months) return true
      months.add(month)
      kept++
      return false
    })
    .map(file => file.name)
}

const sameBytes = async (a: Blob, b: Blob): Promise<boolean> => {
  if (a.size !== b.size) return false
  const [one, other] = await Promise.all(
    [a, b].map(async blob => new Uint8Array(await crypto.subtle.digest('SHA-256', await blob.arrayBuffer()))),
  )
  return one !== undefined && other !== undefined && one.every((byte, i) => byte === other[i])
}

/**
 * Writes a back-up, reads it back, and lets those go that are outlived; these last, so that a bad disk takes no good one with it.
 * `isReadable` opens the file as a restore would. Errors: 'back-up-failed' where the folder refuses, 'back-up-differs' where what is read
 * is not what was written.
 */
export async function backUpInto(
  folder: BackUpFolder,
  whole: Blob,
  at: Date,
  isReadable: (file: Blob) => Promise<boolean>,
): Promise<Result<BackUp>> {
  const name = backUpName(at)
  try {
    await folder.write(name, whole)
    const read = await folder.read(name)
    if (!(await sameBytes(whole, read)) || !(await isReadable(read))) return fail('back-up-differs', { name })
    for (const old of outlived(await folder.files())) await folder.remove(old)
    return ok({ name, at: at.toISOString(), bytes: whole.size })
  } catch (error) {
    return fail('back-up-failed', { what: error instanceof Error ? error.name : '' })
  }
}

/** A folder of the disk that the browser was allowed to write into. */
export const folderOf = (handle: FileSystemDirectoryHandle): BackUpFolder => ({
  files: async () => {
    const files: BackUpFile[] = []
    for await (const name of handle.keys()) {
      // Whatever else lies there is none of ours and is not opened.
      if (NAME.test(name)) files.push({ name, bytes: (await (await handle.getFileHandle(name)).getFile()).size })
    }
    return files
  },
  write: async (name, file) => {
    const writable = await (await handle.getFileHandle(name, { create: true })).createWritable()
    await writable.write(file)
    await writable.close()
  },
  read: async name => (await handle.getFileHandle(name)).getFile(),
  remove: name => handle.removeEntry(name),
})
