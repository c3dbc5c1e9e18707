import type { BoardRow } from '../../core/run/board'
import { soakScaleS, soakWindowS } from '../../core/run/board'
import type { Batch } from '../../core/shop/batch'
import { percentOfWidth } from '../../ui/percent-of-width'
import { useSay } from '../../ui/Units'
import { nextWords, PLACE_WORDS, soakedWords, windowWords } from '../../words/board'
import { marksOfBlades } from '../../words/lists'

/** More blades than this are shown closer together. */
const ROOMY = 7
/** Of more than this, those that are out stand in one line. */
const MANY = 10

/** Every blade with its own clock: where it is, its soak in the window its steel allows, and what comes next for it. */
export function RunBoard({ rows, batch }: { rows: readonly BoardRow[]; batch: Batch }) {
  const say = useSay()
  if (rows.length === 0) return null
  const { shown, together } = parted(rows)
  const mostS = soakScaleS(rows)
  const dense = shown.length > ROOMY
  const cell = dense ? 'py-0.5' : 'py-1.5'
  return (
    <table className={`w-full border-t-2 border-soot-rule text-left ${dense ? 'text-lead' : 'text-large'}`}>
      <caption className="sr-only">Each blade’s clock</caption>
      <thead className="text-lead text-bone-2">
        <tr>
          <th className="w-[90px] py-1 font-normal" scope="col">
            Blade
          </th>
          <th className="w-[170px] font-normal" scope="col">
            Where it is
          </th>
          <th className="hidden font-normal sm:table-cell" scope="col">
            Its soak, and the window from planned to longest
          </th>
          <th className="hidden w-[110px] font-normal md:table-cell" scope="col">
            Plates at
          </th>
          <th className="w-[210px] font-normal" scope="col">
            Next
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map(row => (
          <tr
            key={row.blade.bladeId}
            aria-current={row.isPresent ? 'step' : undefined}
            className={`border-l-4 ${row.isPresent ? 'border-hot bg-soot-2 font-semibold text-[#ffb27a]' : 'border-transparent'} ${row.place === 'gone' ? 'text-bone-2 line-through' : ''}`}
          >
            <th scope="row" className={`pl-2 font-semibold ${cell}`}>
              {marksOfBlades(batch, [row.blade.bladeId])}
            </th>
            <td className={cell}>{PLACE_WORDS[row.place]}</td>
            <td className={`hidden sm:table-cell ${cell}`}>
              <SoakBar row={row} mostS={mostS} />
            </td>
            <td className={`hidden md:table-cell ${row.isPresent ? 'text-bone' : 'text-bone-2'} ${cell}`}>
              {row.blade.set === 0 ? 'oil' : say.t(row.blade.platesC)}
            </td>
            <td className={cell}>{nextWords(row)}</td>
          </tr>
        ))}
        {together.map(({ says, rows: some }) => (
          <tr key={says} className="border-l-4 border-transparent text-bone-2">
            <th scope="row" colSpan={5} className={`pl-2 font-normal ${cell}`}>
              {marksOfBlades(
                batch,
                some.map(row => row.blade.bladeId),
              )}{' '}
              {says}
            </th>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Blades that want no looking after now: of a load that comes later, and, of many, those that are out. They stand in one line each. */
function parted(rows: readonly BoardRow[]) {
  const isBusy = rows.some(row => row.place !== 'bench' && row.place !== 'gone')
  const firstC = rows.find(row => row.place === 'bench')?.blade.austenitizeC
  const later = rows.filter(row => row.place === 'bench' && (isBusy || row.blade.austenitizeC !== firstC))
  const out = rows.length - later.length > MANY ? rows.filter(row => row.place === 'rack') : []
  const together = [
    { says: 'on the bench, for a later load', rows: later },
    { says: 'out, on the rack', rows: out },
  ].filter(part => part.rows.length > 1)
  const apart = new Set(together.flatMap(part => part.rows))
  return { shown: rows.filter(row => !apart.has(row)), together }
}

/** A blade's soak so far, over the window it should end in. */
function SoakBar({ row, mostS }: { row: BoardRow; mostS: number }) {
  const { blade, soakedS, overS, place } = row
  const part = (s: number) => percentOfWidth(s, mostS)
  const [fromS, toS] = soakWindowS(blade)
  const isIn = place === 'soaking' || place === 'due'
  const colour = overS > 0 ? 'bg-[#ff8a6a]' : isIn ? 'bg-hot' : 'bg-[#8d857c]'
  return (
    <div className="mr-4 flex items-center gap-3">
      <div className="relative h-[18px] min-w-0 flex-1">
        <div className="absolute inset-y-0 bg-[#4a4038]" style={{ left: part(fromS), width: part(toS - fromS) }} />
        {soakedS !== null && <div className={`absolute inset-y-1 left-0 ${colour}`} style={{ width: part(soakedS) }} />}
      </div>
      <span className="figure w-[200px] shrink-0 whitespace-nowrap leading-[20px] text-lead">
        <span className={overS > 0 ? 'text-[#ff9a7c]' : 'text-bone'}>{soakedWords(row)}</span>{' '}
        <span className={row.isPresent ? 'text-bone' : 'text-bone-2'}>
          {soakedS === null ? '' : 'of '}
          {windowWords(blade)}
        </span>
      </span>
    </div>
  )
}
