import type { OldRecord, RecordField } from '../core/files/old-records'
import { counted, listOf } from './lists'
import type { Speaker } from './speaker'

/** Name of each field that a column may hold. */
export const FIELD_NAMES: Readonly<Record<RecordField, string>> = {
  date: 'Day',
  batch: 'Batch',
  grade: 'Steel',
  mark: 'Blade’s mark',
  thickness: 'Thickness',
  austenitize: 'Soaked at',
  soak: 'Soak, minutes',
  cold: 'Cold',
  temper: 'First temper',
  again: 'Second temper',
  hrc: 'Hardness, HRC',
  note: 'Note',
}

/** One blade as it was understood. */
export const recordWords = (record: OldRecord, say: Speaker): string =>
  [
    `${record.batch === record.date ? record.date : `${record.date}, ${record.batch}`}. ${record.mark || `Line ${record.line}`}: ${record.grade.name}`,
    ...(record.thicknessMm === null ? [] : [say.length(record.thicknessMm)]),
    `${say.t(record.austenitizeC)}${record.soakMin === null ? '' : ` ${say.minutes(record.soakMin)}`}`,
    ...(record.coldC === null ? [] : [`cold ${say.t(record.coldC)}`]),
    ...(record.tempersC.length === 0 ? ['not tempered'] : [`tempered ${listOf(record.tempersC.map(say.t))}`]),
    `${listOf(record.hrc.map(String))} HRC`,
  ].join(', ')

/** Says the result of adding old notes. */
export const addedRecordsWords = ({
  batches,
  blades,
  known,
}: {
  readonly batches: number
  readonly blades: number
  readonly known: number
}): string =>
  [
    batches === 0
      ? 'Nothing was added.'
      : `${counted(blades, 'blade')} in ${counted(batches, 'batch', 'batches')} were added to the log.`,
    ...(known > 0 ? [`${counted(known, 'batch was', 'batches were')} there already, by day and name.`] : []),
  ].join(' ')
