import { toast } from 'sonner'
import { exportText } from '../core/files/exchange'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { emptyData, readAll } from '../store/backup'
import { withUnsaved } from '../store/batches'
import { noteSaved } from '../store/keeping'

/** Hands a text to the browser as a file to keep. */
export function download(name: string, type: string, content: BlobPart) {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** The whole workshop as one file, with what could not be stored included. */
export async function saveEverything() {
  const now = new Date().toISOString()
  // Where storage cannot be read at all, what is on the page is still worth keeping; but it is no backup, and it is said.
  let isWhole = true
  const data = await readAll().catch(() => {
    isWhole = false
    toast('The stored data cannot be read: this file holds only what is unsaved on this page. Keep your older files.', {
      duration: 30_000,
    })
    return emptyData(DEFAULT_WORKSHOP)
  })
  download(`tawny-ember-${now.slice(0, 10)}.json`, 'application/json', exportText(withUnsaved(data), now))
  if (isWhole) await noteSaved(now)
}
