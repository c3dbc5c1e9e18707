import Dexie, { type EntityTable } from 'dexie'
import { useLiveQuery } from 'dexie-react-hooks'
import type { Problem } from '../core/codes/problem'
import type { BackUp } from './back-ups'

/** The folder that was picked, and how the last back-up went. */
export interface PickedFolder {
  readonly id: 'folder'
  readonly handle: FileSystemDirectoryHandle
  /** The last one that was written and read back; null: none yet. */
  readonly last: BackUp | null
  /** Why the newest try came to nothing; null when it did not. */
  readonly trouble: Problem | null
}

/** A folder of this machine, which belongs to no log: in no file, never replaced with the workshop, and lost without harm. */
const folders = new Dexie('tawny-ember-folder') as Dexie & { folders: EntityTable<PickedFolder, 'id'> }
folders.version(1).stores({ folders: 'id' })

export const pickedFolder = (): Promise<PickedFolder | undefined> => folders.folders.get('folder')

export const pickFolder = (handle: FileSystemDirectoryHandle): Promise<unknown> =>
  folders.folders.put({ id: 'folder', handle, last: null, trouble: null })

export const noteBackUp = (changes: Partial<Pick<PickedFolder, 'last' | 'trouble'>>): Promise<unknown> =>
  folders.folders.update('folder', changes)

export const dropFolder = (): Promise<unknown> => folders.folders.delete('folder')

/** The folder that was picked; undefined while it is read, null where none was. */
export const usePickedFolder = (): PickedFolder | null | undefined =>
  useLiveQuery(
    () =>
      pickedFolder().then(
        picked => picked ?? null,
        () => null,
      ),
    [],
  )
