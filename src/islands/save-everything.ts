import { emptyData, type ToldShare, UNTOLD } from '../core/files/pieces'
import { exportText } from '../core/files/write-exchange'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { readAll } from '../store/backup'
import { noteSaved } from '../store/keeping'
import { type Unsaved, unsavedNow, withUnsaved } from '../store/unsaved'
import { toast } from '../ui/toast'
import { startFilesTask } from '../workers/files-client'
import type { Task } from '../workers/open-worker'
import { download } from './download'
import { makingFile } from './making-file'

/** Everything as a file, made in its worker; where that cannot be loaded, on the page itself. */
export function wholeFile(unsaved: Unsaved, now: string, told: ToldShare = UNTOLD): Task<Blob> {
  const task = startFilesTask(told, (door, share) => door.save(unsaved, now, share))
  const onThePage = async () =>
    new Blob([exportText(withUnsaved(await readAll(), unsaved), now)], { type: 'application/json' })
  return { ...task, done: task.done.catch(onThePage) }
}

/** The whole workshop as one file, with what could not be stored included. */
export async function saveEverything() {
  const now = new Date().toISOString()
  const unsaved = unsavedNow()
  const name = `tawny-ember-${now.slice(0, 10)}.json`
  try {
    const whole = await makingFile(name, told => wholeFile(unsaved, now, told))
    if (!whole) return
    download(name, 'application/json', whole)
    await noteSaved(now)
    return
  } catch {
    // Nothing that is stored can be read.
  }
  // Where storage cannot be read at all, what is on the page is still worth keeping; but it is no backup, and it is said.
  toast('The stored data cannot be read: this file holds only what is unsaved on this page. Keep your older files.', {
    duration: 30_000,
  })
  download(name, 'application/json', exportText(withUnsaved(emptyData(DEFAULT_WORKSHOP), unsaved), now))
}
