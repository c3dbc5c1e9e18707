import Papa from 'papaparse'

/** Matches where a spreadsheet would take a text for a formula: at its beginning, and after a line break for readers that break there. */
const FORMULA = /(^|[\r\n])(?=[=+\-@\t\r])/g

/** Rows as CSV with a header (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it; numbers stay. */
export const csvOf = <C extends string>(
  rows: readonly Readonly<Record<NoInfer<C>, string | number>>[],
  columns: readonly C[],
): string =>
  Papa.unparse(
    rows.map(row =>
      Object.fromEntries(
        columns.map(column => {
          const cell = row[column]
          return [column, typeof cell === 'string' ? cell.replace(FORMULA, "$1'") : cell]
        }),
      ),
    ),
    { columns: [...columns] },
  )

/** Tempers in one cell: '220 C 120 min + 220 C 120 min'. */
export const temperText = (tempers: readonly { readonly atC: number; readonly holdMin: number }[]): string =>
  tempers.map(({ atC, holdMin }) => `${atC} C ${holdMin} min`).join(' + ')
