import { piecesOf } from '../../../../core/plan/tray'
import type { InspectVerdict } from '../../../../core/quench/inspect'
import { bowLimitMm, type Inspection, inspect } from '../../../../core/quench/inspect'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { formatQuantity } from '../../../../core/units/quantity'
import { BENT_AT, COLOUR_WORDS, COLOURS } from '../../../../data/inspection'
import { editBatch } from '../../../../store/batches'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { Prose } from '../../../../ui/Units'
import type { GroupPlan } from '../../use-plan'

interface Props {
  readonly batch: Batch
  readonly plans: readonly GroupPlan[]
  readonly shop: Workshop
  readonly chosen: string
  readonly onChoose: (mark: string) => void
}

const NOTHING: Inspection = {
  bowMm: null,
  bentAt: null,
  cracked: false,
  colour: null,
  skates: null,
  bites: null,
  hrc: null,
}
const seenOf = (batch: Batch, mark: string): Inspection => batch.inspections?.find(i => i.mark === mark) ?? NOTHING

const VERDICT_WORDS: Readonly<Record<InspectVerdict, string>> = {
  go: 'go on',
  straighten: 'straighten',
  'find-out': 'find out first',
  stop: 'stop',
}
const TONE: Readonly<Record<InspectVerdict, string>> = {
  go: 'text-good',
  straighten: 'text-ember',
  'find-out': 'text-bad',
  stop: 'text-bad',
}

/** Every blade with what was seen of it, in a word; the one chosen is looked at below. */
export function InspectTable({ batch, plans, shop, chosen, onChoose }: Props) {
  return (
    <div className="max-h-[244px] overflow-y-auto">
      <table className="sheet">
        <caption className="sr-only">Blades and what was seen of them</caption>
        <thead>
          <tr>
            <th>Blade</th>
            <th>Steel</th>
            <th>Bow</th>
            <th>Seen</th>
            <th>So</th>
          </tr>
        </thead>
        <tbody>
          {piecesOf(batch).map(({ mark, blade, group }) => {
            const seen = seenOf(batch, mark)
            const looked = batch.inspections?.some(i => i.mark === mark)
            const due = plans.find(p => p.group.id === group.id)?.prediction.hrc.asQuenched
            const { verdict } = inspect(seen, blade, due ?? null)
            return (
              <tr key={mark}>
                <td className="!py-0">
                  <button
                    type="button"
                    aria-pressed={mark === chosen}
                    className={`min-h-9 font-semibold ${mark === chosen ? 'text-ember underline underline-offset-4' : 'link'}`}
                    onClick={() => onChoose(mark)}
                  >
                    {mark}
                  </button>
                </td>
                <td className="!py-0 text-ink-2">{group.gradeName}</td>
                <td className="!py-0">
                  {seen.bowMm === null
                    ? '—'
                    : `${formatQuantity(seen.bowMm, 'length', shop.units)} of ${formatQuantity(bowLimitMm(blade.lengthMm), 'length', shop.units)}`}
                </td>
                <td className="!py-0 text-ink-2">{seenWords(seen)}</td>
                <td className={`!py-0 font-semibold ${looked ? TONE[verdict] : 'text-ink-2'}`}>
                  {looked ? VERDICT_WORDS[verdict] : 'not looked at'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

const seenWords = (seen: Inspection) =>
  [
    seen.cracked ? 'crack' : '',
    seen.colour && seen.colour !== 'bright' ? COLOUR_WORDS[seen.colour] : '',
    seen.skates === null ? '' : `${seen.skates} skates`,
    seen.bites === null ? '' : `${seen.bites} bites`,
    seen.hrc === null ? '' : `${seen.hrc} HRC`,
  ]
    .filter(word => word !== '')
    .join(', ')

const FILES = [40, 45, 50, 55, 60, 65] as const
const fileOptions = [['', 'not tried'] as const, ...FILES.map(hrc => [String(hrc), `${hrc} HRC`] as const)]

/** One blade looked at: gauge, crack, colour, file, a first reading; and what follows. */
export function InspectOne({ batch, plans, mark }: { batch: Batch; plans: readonly GroupPlan[]; mark: string }) {
  const piece = piecesOf(batch).find(p => p.mark === mark)
  if (!piece) return null
  const seen = seenOf(batch, mark)
  const due = plans.find(p => p.group.id === piece.group.id)?.prediction.hrc.asQuenched ?? null
  const { reasons } = inspect(seen, piece.blade, due)
  const set = (part: Partial<Inspection>) =>
    void editBatch(batch, `${mark} looked at`, b => ({
      ...b,
      inspections: [...(b.inspections ?? []).filter(i => i.mark !== mark), { mark, ...seenOf(b, mark), ...part }],
    }))
  const file = (value: string) => (value === '' ? null : Number(value))
  return (
    <section aria-label={`Blade ${mark}`} className="mt-3 border-t border-rule-strong pt-2">
      <h3 className="mb-2 text-[15px] font-semibold">{mark}</h3>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <QuantityField
          label="Gauge that goes under it"
          dimension="length"
          value={seen.bowMm}
          min={0}
          max={50}
          onCommit={bowMm => set({ bowMm })}
          onClear={() => set({ bowMm: null })}
        />
        <SelectField
          label="Bent at"
          value={seen.bentAt ?? ''}
          options={[['', '—'] as const, ...BENT_AT.map(at => [at, at === 'twist' ? 'twisted' : `the ${at}`] as const)]}
          onCommit={at => set({ bentAt: at === '' ? null : at })}
        />
        <SelectField
          label="Colour"
          value={seen.colour ?? ''}
          options={[['', 'not looked at'] as const, ...COLOURS.map(c => [c, COLOUR_WORDS[c]] as const)]}
          onCommit={colour => set({ colour: colour === '' ? null : colour })}
        />
        <SelectField
          label="Cracks"
          value={seen.cracked ? 'yes' : 'no'}
          options={[
            ['no', 'none seen'],
            ['yes', 'a crack'],
          ]}
          onCommit={v => set({ cracked: v === 'yes' })}
        />
        <SelectField
          label="Hardest file that skates"
          value={seen.skates === null ? '' : String(seen.skates)}
          options={fileOptions}
          onCommit={v => set({ skates: file(v) })}
        />
        <SelectField
          label="Softest file that bites"
          value={seen.bites === null ? '' : String(seen.bites)}
          options={fileOptions}
          onCommit={v => set({ bites: file(v) })}
        />
        <NumberField
          label="A first reading"
          unit="HRC"
          value={seen.hrc}
          min={5}
          max={70}
          onCommit={hrc => set({ hrc })}
          onClear={() => set({ hrc: null })}
        />
        <button type="button" className="btn self-end" onClick={() => set({ ...NOTHING, bowMm: 0, colour: 'bright' })}>
          Straight and bright
        </button>
      </div>
      <ul className="mt-2 grid items-start gap-x-4 gap-y-1 text-[13px] sm:grid-cols-2">
        {reasons.map(reason => (
          <li key={reason} className="border-l-3 border-rule-strong pl-3">
            <Prose>{reason}</Prose>
          </li>
        ))}
      </ul>
    </section>
  )
}
