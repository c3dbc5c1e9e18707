import { problem } from '../core/codes/problem'
import { fail } from '../core/codes/result'
import { UNTOLD } from '../core/files/pieces'
import { dropFolder, noteBackUp, pickedFolder, pickFolder } from '../store/back-up-folder'
import { backUpInto, folderOf } from '../store/back-ups'
import { noteSaved } from '../store/keeping'
import { unsavedNow } from '../store/unsaved'
import { startFilesTask } from '../workers/files-client'
import { wholeFile } from './save-everything'

/** Whether this browser can write into a folder of the disk at all. */
export const canBackUp = (): boolean => window.showDirectoryPicker !== undefined

/** Opens a back-up in the worker as a restore would, and stores nothing. */
async function isReadable(file: Blob): Promise<boolean> {
  return startFilesTask(UNTOLD, async door => (await door.open(file)).ok).done
}

/**
 * Writes everything into the picked folder and notes how that went. Several open pages make one. `ask`: at the press of a button the
 * browser may ask whether the folder may be written to, and one that another page is making is waited for.
 */
export async function backUp({ ask }: { readonly ask: boolean }): Promise<void> {
  await navigator.locks.request('tawny-ember-back-up', { ifAvailable: !ask }, async lock => {
    const picked = await pickedFolder()
    if (!lock || !picked) return
    const { handle } = picked
    const allowed = (await (ask ? handle.requestPermission : handle.queryPermission)?.call(handle, {
      mode: 'readwrite',
    })) as PermissionState | undefined
    if (allowed !== undefined && allowed !== 'granted')
      return void (await noteBackUp({ trouble: problem('back-up-not-allowed', { folder: handle.name }) }))
    const now = new Date()
    const whole = await wholeFile(unsavedNow(), now.toISOString()).done.catch(() => null)
    const made = whole
      ? await backUpInto(folderOf(handle), whole, now, isReadable)
      : fail('back-up-failed', { what: '' })
    if (!made.ok) return void (await noteBackUp({ trouble: made.problems[0] ?? null }))
    await noteBackUp({ last: made.value, trouble: null })
    await noteSaved(made.value.at)
  })
}

/** Asks for a folder and makes a first back-up in it; nothing where none is chosen. */
export async function chooseFolder(): Promise<void> {
  const handle = await window.showDirectoryPicker?.({ id: 'tawny-ember', mode: 'readwrite' }).catch(() => null)
  if (!handle) return
  await pickFolder(handle)
  await backUp({ ask: true })
}

export const stopBackUps = dropFolder
