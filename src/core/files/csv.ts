import Papa from 'papaparse'

/** Matches text that a spreadsheet takes for a formula, also after a line break in the same cell. */
const FORMULA = /^[=+\-@\t\r]/

/** Rows as CSV with a header (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it; numbers stay. */
export const csvOf = <C extends string>(
  rows: readonly Readonly<Record<NoInfer<C>, string | number>>[],
  columns: readonly C[],
): string => Papa.unparse([...rows], { columns: [...columns], escapeFormulae: FORMULA })

/** Tempers in one cell: '220 C 120 min + 220 C 120 min'. */
export const temperText = (tempers: readonly { readonly atC: number; readonly holdMin: number }[]): string =>
  tempers.map(({ atC, holdMin }) => `${atC} C ${holdMin} min`).join(' + ')
