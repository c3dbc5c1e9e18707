import { toast } from '../ui/toast'
import { startFiles } from '../workers/files-client'
import { download } from './download'

/** Every reading or every blade as CSV, made in the worker of files from the log as it is now. */
export async function saveTable(of: 'readings' | 'blades') {
  const { door, broken, stop } = startFiles()
  try {
    download(`${of}.csv`, 'text/csv', await Promise.race([door.table(of), broken]))
  } catch {
    toast('The table could not be made: the stored data cannot be read now. Load the page anew and try again.')
  } finally {
    stop()
  }
}
