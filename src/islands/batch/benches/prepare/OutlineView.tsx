import { useId, useState } from 'react'
import { longestTangMm } from '../../../../core/batch/prepare'
import type { ImportedOutline } from '../../../../core/files/outline/import-outline'
import { flipped, outlinePath, plainOutline } from '../../../../core/rockwell/outline'
import type { Line } from '../../../../core/shop/blade'
import { BOUNDS, LONGEST } from '../../../../core/shop/bounds'
import { formatQuantity } from '../../../../core/units/quantity'
import { TIP_SHAPES, type TipShape } from '../../../../data/outline'
import { SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { toast } from '../../../../ui/toast'
import { useSay } from '../../../../ui/Units'
import { counted } from '../../../../words/lists'
import { problemWords } from '../../../../words/problems'
import { FileOnItsWay } from '../../../FileOnItsWay'
import { undoable } from '../../../undo'
import { useFileReading } from '../../../use-file-reading'
import { useBench } from '../../bench-context'
import { editLine } from '../../edit'

const TIP_WORDS: Readonly<Record<TipShape, string>> = {
  drop: 'drop point',
  straight: 'straight back',
  clip: 'clip point',
  sheepsfoot: 'sheepsfoot',
}

/** The outline of each line of blades: tang and tip, or a drawing read from SVG or DXF. */
export function OutlineView() {
  const say = useSay()
  const { batch, shop } = useBench()
  const inputId = useId()
  const [shown, setShown] = useState(batch.lines[0]?.id ?? '')
  const [trouble, setTrouble] = useState<string | null>(null)
  const [said, setSaid] = useState<ImportedOutline | null>(null)
  const reading = useFileReading()
  const line = batch.lines.find(l => l.id === shown) ?? (batch.lines[0] as Line)
  const outline = line.outline ?? plainOutline(line)
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  const set = (label: string, change: Partial<Line>) => editLine(batch, line.id, `${line.mark}: ${label}`, change)
  const drawn = (part: Partial<ReturnType<typeof plainOutline>>) =>
    set('outline', { outline: { ...(outline.kind === 'drawn' ? outline : plainOutline(line)), ...part } })
  const read = async (file: File | undefined) => {
    setTrouble(null)
    setSaid(null)
    if (!file) return
    const imported = await reading.read(file, door => door.outline(file.name, file))
    if (!imported) return
    if (!imported.ok) return setTrouble(imported.problems.map(found => problemWords(found, say)).join(' '))
    setSaid(imported.value)
    await editLine(batch, line.id, `${line.mark}: outline from ${file.name}`, {
      outline: {
        kind: 'imported',
        from: file.name.slice(0, LONGEST.fileName),
        points: imported.value.points.map(([x, y]) => [x, y]),
      },
    })
    undoable(`Outline of ${line.mark} from ${file.name}`)
  }
  return (
    <div>
      <svg
        viewBox={`-4 -4 ${line.lengthMm + 8} ${line.widthMm + 8}`}
        className="max-h-[190px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Outline of ${line.mark}, ${mm(line.lengthMm)} by ${mm(line.widthMm)}, tang left`}
      >
        <rect
          width={line.lengthMm}
          height={line.widthMm}
          fill="none"
          className="stroke-rule"
          strokeDasharray="3 3"
          strokeWidth={0.6}
        />
        <path d={outlinePath(line)} className="fill-raised stroke-ink" strokeWidth={1} />
      </svg>
      <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <SelectField
          label="Blade"
          value={line.id}
          options={batch.lines.map(l => [l.id, l.mark] as const)}
          onCommit={setShown}
        />
        <SelectField
          label="Tip"
          value={outline.kind === 'drawn' ? outline.tip : 'file'}
          options={[
            ...TIP_SHAPES.map(tip => [tip, TIP_WORDS[tip]] as const),
            ...(outline.kind === 'imported' ? [['file', `from ${outline.from}`] as const] : []),
          ]}
          onCommit={tip => tip !== 'file' && drawn({ tip: tip as TipShape })}
        />
        {outline.kind === 'drawn' ? (
          <>
            <QuantityField
              label="Tang length"
              dimension="length"
              value={outline.tangMm}
              min={BOUNDS.tangLengthMm.min}
              max={longestTangMm(line)}
              onCommit={tangMm => drawn({ tangMm })}
            />
            <QuantityField
              label="Tang width"
              dimension="length"
              value={outline.tangWidthMm}
              min={BOUNDS.tangWidthMm.min}
              max={Math.min(BOUNDS.tangWidthMm.max, line.widthMm)}
              onCommit={tangWidthMm => drawn({ tangWidthMm })}
            />
          </>
        ) : (
          <div className="col-span-2 flex items-end gap-2">
            <button
              type="button"
              className="btn"
              onClick={() =>
                set('outline', {
                  outline: { ...outline, points: flipped(outline.points, 'ends').map(([x, y]) => [x, y]) },
                })
              }
            >
              Turn end for end
            </button>
            <button
              type="button"
              className="btn"
              onClick={() =>
                set('outline', {
                  outline: { ...outline, points: flipped(outline.points, 'sides').map(([x, y]) => [x, y]) },
                })
              }
            >
              Upside down
            </button>
          </div>
        )}
      </div>
      <div className="mt-3">
        <label htmlFor={inputId} className="label">
          Or a drawing of it: SVG or DXF, one closed line
        </label>
        <input
          id={inputId}
          type="file"
          accept=".svg,.dxf,image/svg+xml"
          className="field py-2"
          onChange={event => {
            void read(event.target.files?.[0])
            event.target.value = ''
          }}
        />
        <FileOnItsWay file={reading.onItsWay} />
        {trouble && (
          <p role="alert" className="mt-1 text-small text-bad">
            {trouble} Nothing was changed.
          </p>
        )}
        {said && (
          <p className="mt-1 text-small" role="status">
            The drawing measures {mm(said.lengthMm)} × {mm(said.widthMm)}.{' '}
            {(Math.abs(said.lengthMm - line.lengthMm) > 0.5 || Math.abs(said.widthMm - line.widthMm) > 0.5) && (
              <button
                type="button"
                className="link min-h-touch font-medium"
                onClick={() => {
                  set('size from its drawing', { lengthMm: said.lengthMm, widthMm: said.widthMm })
                  toast('Length and width taken from the drawing')
                }}
              >
                Use its size
              </button>
            )}{' '}
            {said.leftOut.length > 0 &&
              `Left out of the file: ${said.leftOut.map(({ what, count }) => counted(count, what)).join(', ')}.`}
          </p>
        )}
      </div>
    </div>
  )
}
