import { EXCHANGE_FORMAT, EXCHANGE_VERSION, type WorkshopData } from './exchange'
import { piecesOf, rowsIn, rowsTold, TABLES, type ToldShare, UNTOLD } from './pieces'

/** Everything as the text of a workshop file, of the present version; `exportedAt` an ISO instant. */
export const exportText = (data: WorkshopData, exportedAt: string): string =>
  [...exportPieces(data, exportedAt)].join('')

/** The same text piece by piece, for a log that is too long to be written at one go. */
export function* exportPieces(data: WorkshopData, exportedAt: string, told: ToldShare = UNTOLD): Generator<string> {
  const doneRows = rowsTold(rowsIn(data), told)
  yield `{\n "format": "${EXCHANGE_FORMAT}",\n "version": ${EXCHANGE_VERSION},\n "exportedAt": ${JSON.stringify(exportedAt)},\n "seen": ${indented(data.seen)},\n "shop": ${indented(data.shop)}`
  for (const table of TABLES) {
    yield `,\n "${table}": [`
    let isFirst = true
    for (const rows of piecesOf<unknown>(data[table])) {
      yield rows.map((row, i) => `${isFirst && i === 0 ? '' : ','}\n  ${indented(row, 2)}`).join('')
      isFirst = false
      doneRows(rows.length)
    }
    yield isFirst ? ']' : '\n ]'
  }
  yield '\n}\n'
}

/** A value as it stands so deep in a text of JSON that is indented by one. */
const indented = (value: unknown, depth = 1): string =>
  JSON.stringify(value, null, 1).replaceAll('\n', `\n${' '.repeat(depth)}`)
