import { useState } from 'react'
import { outlinePath } from '../../../../core/blade/outline'
import { envelopeCautions, FOLD_WAYS, type FoldWay, seamLayers } from '../../../../core/foil/envelope'
import { foldTemplate, templateSvg } from '../../../../core/foil/template'
import type { Batch } from '../../../../core/record/schemas'
import { FOIL } from '../../../../data/foil'
import { editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { TemplateDrawing } from '../../../../ui/foil/TemplateDrawing'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { foldTemplatePdf, type Paper } from '../../../../ui/pdf/fold-template-pdf'
import { QuantityField } from '../../../../ui/QuantityField'
import { Prose } from '../../../../ui/Units'
import { download } from '../../../save-everything'
import type { WrapProps } from './wrap-props'

const WAY_WORDS: Readonly<Record<FoldWay, string>> = {
  spine: 'in half over the spine',
  'two-sheets': 'two sheets, seamed all round',
  tip: 'in half over the tip',
}

/** One sheet laid flat with its folds, to scale, and its template to print at 1:1. */
export function EnvelopeView({ batch, mm }: WrapProps) {
  const [shown, setShown] = useState(batch.blades[0]?.id ?? '')
  const blade = batch.blades.find(b => b.id === shown) ?? batch.blades[0]
  if (!blade) return null
  const template = foldTemplate(blade, batch.envelope)
  const layers = seamLayers(batch.envelope.folds)
  const save = async (paper: Paper) => {
    if (!template.ok) return
    download(
      `fold-${blade.mark}-${paper}.pdf`,
      'application/pdf',
      (await foldTemplatePdf(template.value, paper)) as Uint8Array<ArrayBuffer>,
    )
  }
  return (
    <div>
      {template.ok ? (
        <TemplateDrawing template={template.value} outline={outlinePath(blade)} lengthText={mm} />
      ) : (
        <Warnings lines={template.problems} />
      )}
      <Warnings lines={envelopeCautions(blade, batch.envelope, FOIL.thicknessMm)} />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-28">
          <SelectField
            label="For blade"
            value={blade.id}
            options={batch.blades.map(b => [b.id, b.mark] as const)}
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
            template.ok && download(`fold-${blade.mark}.svg`, 'image/svg+xml', templateSvg(template.value))
          }
        >
          SVG
        </button>
        <p className="text-[12.5px] text-ink-2">
          A seam is {layers.seam} layers, <Prose>{`${(layers.seam * FOIL.thicknessMm).toFixed(2)} mm`}</Prose>;{' '}
          {layers.crossing} where an end fold crosses it.
        </p>
      </div>
    </div>
  )
}

export function EnvelopeFields({ batch }: { batch: Batch }) {
  const { envelope } = batch
  const set = (part: Partial<Batch['envelope']>) =>
    void editBatch(batch, 'Envelope', b => ({ ...b, envelope: { ...b.envelope, ...part } }))
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SelectField
        label="Folded"
        value={envelope.way ?? 'spine'}
        options={FOLD_WAYS.map(way => [way, WAY_WORDS[way]] as const)}
        onCommit={way => set({ way })}
      />
      <QuantityField
        label="Free at each end"
        dimension="length"
        value={envelope.endMm}
        min={1}
        max={150}
        onCommit={endMm => set({ endMm })}
      />
      <QuantityField
        label="Free at the edge"
        dimension="length"
        value={envelope.edgeMm}
        min={1}
        max={60}
        onCommit={edgeMm => set({ edgeMm })}
      />
      <QuantityField
        label="A fold"
        dimension="length"
        value={envelope.foldMm}
        min={3}
        max={30}
        onCommit={foldMm => set({ foldMm })}
      />
      <NumberField
        label="Folds a seam"
        whole
        value={envelope.folds}
        min={1}
        max={4}
        onCommit={folds => set({ folds })}
      />
      <NumberField
        label="Blades side by side"
        whole
        value={envelope.beside ?? 1}
        min={1}
        max={12}
        onCommit={beside => set({ beside })}
      />
      <NumberField
        label="Blades end to end"
        whole
        value={envelope.endToEnd ?? 1}
        min={1}
        max={6}
        onCommit={endToEnd => set({ endToEnd })}
      />
      <QuantityField
        label="Between them"
        dimension="length"
        value={envelope.gapMm ?? 3}
        min={0}
        max={30}
        onCommit={gapMm => set({ gapMm })}
      />
    </div>
  )
}
