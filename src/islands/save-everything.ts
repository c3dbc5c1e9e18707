import { exportText } from '../core/files/exchange'
import type { Batch } from '../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { readAll, withUnsaved } from '../store/backup'
import { noteSaved } from '../store/keeping'
import { emptyData } from '../store/seed'
import { unsavedBatches } from '../store/unsaved-batches'
import { toast } from '../ui/toast'
import { startFiles } from '../workers/files-client'
import { download } from './download'

/** Everything as a file, made in its worker; where that cannot be loaded, on the page itself. */
export async function wholeFile(unsaved: readonly Batch[], now: string): Promise<Blob> {
  const { door, broken, stop } = startFiles()
  try {
    return await Promise.race([door.save(unsaved, now), broken])
  } catch {
    return new Blob([exportText(withUnsaved(await readAll(), unsaved), now)], { type: 'application/json' })
  } finally {
    stop()
  }
}

/** The whole workshop as one file, with what could not be stored included. */
export async function saveEverything() {
  const now = new Date().toISOString()
  const unsaved = [...unsavedBatches.get().values()]
  const name = `tawny-ember-${now.slice(0, 10)}.json`
  const whole = await wholeFile(unsaved, now).catch(() => null)
  if (whole) {
    download(name, 'application/json', whole)
    await noteSaved(now)
    return
  }
  // Where storage cannot be read at all, what is on the page is still worth keeping; but it is no backup, and it is said.
  toast('The stored data cannot be read: this file holds only what is unsaved on this page. Keep your older files.', {
    duration: 30_000,
  })
  download(name, 'application/json', exportText(withUnsaved(emptyData(DEFAULT_WORKSHOP), unsaved), now))
}
