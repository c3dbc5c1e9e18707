import { toast } from '../ui/toast'
import { startFilesTask } from '../workers/files-client'
import { download } from './download'
import { makingFile } from './making-file'

/** Every reading or every blade as CSV, made in the worker of files from the log as it is now. */
export async function saveTable(of: 'readings' | 'blades') {
  const name = `${of}.csv`
  try {
    const table = await makingFile(name, told => startFilesTask(told, (door, share) => door.table(of, share)))
    if (table) download(name, 'text/csv', table)
  } catch {
    toast('The table could not be made: the stored data cannot be read now. Load the page anew and try again.')
  }
}
