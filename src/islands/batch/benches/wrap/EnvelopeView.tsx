import { useState } from 'react'
import { envelopeCautions, seamLayers, seamThicknessMm } from '../../../../core/foil/envelope'
import { foldTemplate, templateSvg } from '../../../../core/foil/template'
import { outlinePath } from '../../../../core/rockwell/outline'
import type { Batch } from '../../../../core/shop/batch'
import { BOUNDS } from '../../../../core/shop/bounds'
import { FOIL, FOLD_WAYS, type FoldWay } from '../../../../data/foil'
import { editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { TemplateDrawing } from '../../../../ui/foil/TemplateDrawing'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { Problems } from '../../../../ui/Problems'
import { foldTemplatePdf, type Paper } from '../../../../ui/pdf/fold-template-pdf'
import { QuantityField } from '../../../../ui/QuantityField'
import { useSay } from '../../../../ui/Units'
import { templateNoteWords } from '../../../../words/foil'
import { download } from '../../../download'
import { useBench } from '../../bench-context'
import type { WrapProps } from './wrap-props'

const WAY_WORDS: Readonly<Record<FoldWay, string>> = {
  spine: 'in half over the spine',
  'two-sheets': 'two sheets, seamed all round',
  tip: 'in half over the tip',
}

/** One sheet laid flat with its folds, to scale, and its template to print at 1:1. */
export function EnvelopeView({ mm }: Pick<WrapProps, 'mm'>) {
  const { batch } = useBench()
  const say = useSay()
  const [shown, setShown] = useState(batch.lines[0]?.id ?? '')
  const line = batch.lines.find(l => l.id === shown) ?? batch.lines[0]
  if (!line) return null
  const template = foldTemplate(line, batch.envelope)
  const layers = seamLayers(batch.envelope.folds)
  const save = async (paper: Paper) => {
    if (!template.ok) return
    download(
      `fold-${line.mark}-${paper}.pdf`,
      'application/pdf',
      (await foldTemplatePdf(template.value, paper)) as Uint8Array<ArrayBuffer>,
    )
  }
  const saveDxf = async () => {
    if (!template.ok) return
    const { templateDxf } = await import('../../../../core/foil/template-dxf')
    download(`fold-${line.mark}.dxf`, 'image/vnd.dxf', templateDxf(template.value))
  }
  return (
    <div>
      {template.ok ? (
        <TemplateDrawing template={template.value} outline={outlinePath(line)} lengthText={mm} />
      ) : (
        <Problems of={template.problems} className="my-2" />
      )}
      <Warnings lines={envelopeCautions(line, batch.envelope, FOIL.thicknessMm)} />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-28">
          <SelectField
            label="For blade"
            value={line.id}
            options={batch.lines.map(l => [l.id, l.mark] as const)}
            onCommit={setShown}
          />
        </div>
        <button type="button" className="btn" disabled={!template.ok} onClick={() => void save('A4')}>
          Template, A4
        </button>
        <button type="button" className="btn" disabled={!template.ok} onClick={() => void save('Letter')}>
          Letter
        </button>
        <button
          type="button"
          className="btn"
          disabled={!template.ok}
          onClick={() =>
            template.ok &&
            download(
              `fold-${line.mark}.svg`,
              'image/svg+xml',
              templateSvg(template.value, note => templateNoteWords(note, say)),
            )
          }
        >
          SVG
        </button>
        <button type="button" className="btn" disabled={!template.ok} onClick={() => void saveDxf()}>
          DXF
        </button>
        <p className="min-w-50 flex-1 text-note text-ink-2">
          A seam is {layers.seam} layers, {say.thin(seamThicknessMm(layers.seam))}; {layers.crossing} where an end fold
          crosses it.
        </p>
      </div>
    </div>
  )
}

export function EnvelopeFields() {
  const { batch } = useBench()
  const { envelope } = batch
  const set = (part: Partial<Batch['envelope']>) =>
    editBatch(batch, 'Envelope', b => ({ ...b, envelope: { ...b.envelope, ...part } }))
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SelectField
        label="Folded"
        value={envelope.way ?? 'spine'}
        options={FOLD_WAYS.map(way => [way, WAY_WORDS[way]] as const)}
        onCommit={way => set({ way })}
      />
      <QuantityField
        label="Space at each end"
        dimension="length"
        value={envelope.endMm}
        {...BOUNDS.foilEndMm}
        onCommit={endMm => set({ endMm })}
      />
      <QuantityField
        label="Space at the edge"
        dimension="length"
        value={envelope.edgeMm}
        {...BOUNDS.foilEdgeMm}
        onCommit={edgeMm => set({ edgeMm })}
      />
      <QuantityField
        label="Width of a fold"
        dimension="length"
        value={envelope.foldMm}
        {...BOUNDS.foldMm}
        onCommit={foldMm => set({ foldMm })}
      />
      <NumberField
        label="Folds in a seam"
        whole
        value={envelope.folds}
        {...BOUNDS.folds}
        onCommit={folds => set({ folds })}
      />
      <NumberField
        label="Blades side by side"
        whole
        value={envelope.beside ?? 1}
        {...BOUNDS.bladesBeside}
        onCommit={beside => set({ beside })}
      />
      <NumberField
        label="Blades end to end"
        whole
        value={envelope.endToEnd ?? 1}
        {...BOUNDS.bladesEndToEnd}
        onCommit={endToEnd => set({ endToEnd })}
      />
      <QuantityField
        label="Space between blades"
        dimension="length"
        value={envelope.gapMm ?? 3}
        {...BOUNDS.foilGapMm}
        onCommit={gapMm => set({ gapMm })}
      />
    </div>
  )
}
