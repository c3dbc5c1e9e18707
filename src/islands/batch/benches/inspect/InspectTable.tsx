import { stateOf } from '../../../../core/batch/blade-state'
import type { InspectVerdict } from '../../../../core/load/inspect'
import { bowLimitMm, inspect, NOTHING_FOUND } from '../../../../core/load/inspect'
import type { BladeInspection } from '../../../../core/shop/blade'
import { BOUNDS } from '../../../../core/shop/bounds'
import { BENT_AT, COLOUR_WORDS, COLOURS } from '../../../../data/inspection'
import { BentBlade } from '../../../../ui/drawings/BentBlade'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { useSay } from '../../../../ui/Units'
import { stateWords } from '../../../../words/blade-state'
import { findingWords } from '../../../../words/inspection'
import { StateField } from '../../../StateField'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

interface Props {
  /** Blade looked at below, by its id. */
  readonly chosen: string
  readonly onChoose: (bladeId: string) => void
}

const VERDICT_WORDS: Readonly<Record<InspectVerdict, string>> = {
  go: 'go on',
  straighten: 'straighten',
  'find-out': 'find the cause first',
  stop: 'stop',
}
const TONE: Readonly<Record<InspectVerdict, string>> = {
  go: 'text-good',
  straighten: 'text-ember',
  'find-out': 'text-bad',
  stop: 'text-bad',
}

/** Every blade with what was seen of it, in a word; the one chosen is looked at below. */
export function InspectTable({ chosen, onChoose }: Props) {
  const { blades, groups } = useBench()
  const say = useSay()
  return (
    <div className="max-h-[calc(var(--row)*5.5)] overflow-y-auto">
      <table className="sheet">
        <caption className="sr-only">Findings for each blade</caption>
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th>Blade</th>
            <th>Steel</th>
            <th>Bow</th>
            <th>Findings</th>
            <th>Action</th>
          </tr>
        </thead>
        <tbody>
          {blades.map(({ id, mark, line, group, record }) => {
            const looked = record.inspection !== undefined
            const seen = record.inspection ?? NOTHING_FOUND
            const due = groups.find(g => g.group.id === group.id)?.prediction.hrc.asQuenched
            const { verdict } = inspect(seen, line, due ?? null)
            // A crack that was only seen has its word already.
            const cameTo = record.states && stateOf(record) !== 'whole' ? stateWords(record) : null
            return (
              <tr key={id}>
                <td className="!py-0">
                  <button
                    type="button"
                    aria-pressed={id === chosen}
                    className={`min-h-row min-w-row text-left font-semibold ${id === chosen ? 'text-ember underline underline-offset-4' : 'link'}`}
                    onClick={() => onChoose(id)}
                  >
                    {mark}
                  </button>
                </td>
                <td className="!py-0 text-ink-2">{group.gradeName}</td>
                <td className="!py-0">
                  {seen.bowMm === null
                    ? '—'
                    : `${say.length(seen.bowMm)}, limit ${say.length(bowLimitMm(line.lengthMm))}`}
                </td>
                <td className="!py-0 text-ink-2">{seenWords(seen)}</td>
                <td className={`!py-0 font-semibold ${cameTo ? '' : looked ? TONE[verdict] : 'text-ink-2'}`}>
                  {cameTo ?? (looked ? VERDICT_WORDS[verdict] : 'not looked at')}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

const seenWords = (seen: BladeInspection) =>
  [
    seen.cracked ? 'crack' : '',
    seen.colour && seen.colour !== 'bright' ? COLOUR_WORDS[seen.colour] : '',
    seen.skates === null ? '' : `a ${seen.skates} HRC file slides off`,
    seen.bites === null ? '' : `one of ${seen.bites} cuts`,
    seen.hrc === null ? '' : `${seen.hrc} HRC`,
  ]
    .filter(word => word !== '')
    .join(', ')

const FILES = [40, 45, 50, 55, 60, 65] as const
const fileOptions = [['', 'not tried'] as const, ...FILES.map(hrc => [String(hrc), `${hrc} HRC`] as const)]

/** One blade looked at: gauge, crack, colour, file, a first reading; and what follows. */
export function InspectOne({ bladeId }: { bladeId: string }) {
  const say = useSay()
  const { batch, blades, groups } = useBench()
  const blade = blades.find(b => b.id === bladeId)
  if (!blade) return null
  const { mark, line, group, record } = blade
  const seen = record.inspection ?? NOTHING_FOUND
  const due = groups.find(g => g.group.id === group.id)?.prediction.hrc.asQuenched ?? null
  const { reasons } = inspect(seen, line, due)
  const set = (part: Partial<BladeInspection>) =>
    editBlade(batch, bladeId, `${mark} looked at`, b => ({
      ...b,
      inspection: { ...NOTHING_FOUND, ...b.inspection, ...part },
    }))
  const file = (value: string) => (value === '' ? null : Number(value))
  return (
    <section aria-label={`Blade ${mark}`} className="mt-3 border-t border-rule-strong pt-2">
      <div className="mb-1 grid grid-cols-[auto_1fr_auto] items-center gap-4">
        <h3 className="text-lead font-semibold">{mark}</h3>
        <BentBlade
          mark={mark}
          lengthMm={line.lengthMm}
          bowMm={seen.bowMm}
          limitMm={bowLimitMm(line.lengthMm)}
          bentAt={seen.bentAt}
          lengthText={say.length}
        />
        <StateField batch={batch} blade={blade} alone />
      </div>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <QuantityField
          label="Bow, by feeler gauge"
          dimension="length"
          value={seen.bowMm}
          {...BOUNDS.bowMm}
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
          label="Hardest file that slides off"
          value={seen.skates === null ? '' : String(seen.skates)}
          options={fileOptions}
          onCommit={v => set({ skates: file(v) })}
        />
        <SelectField
          label="Softest file that cuts"
          value={seen.bites === null ? '' : String(seen.bites)}
          options={fileOptions}
          onCommit={v => set({ bites: file(v) })}
        />
        <NumberField
          label="A first reading"
          unit="HRC"
          value={seen.hrc}
          {...BOUNDS.readingHrc}
          onCommit={hrc => set({ hrc })}
          onClear={() => set({ hrc: null })}
        />
        <button
          type="button"
          className="btn self-end"
          onClick={() => void set({ ...NOTHING_FOUND, bowMm: 0, colour: 'bright' })}
        >
          Straight and bright
        </button>
      </div>
      <ul className="mt-2 grid items-start gap-x-4 gap-y-1 text-small sm:grid-cols-2">
        {reasons.map(reason => (
          <li key={reason.code} className="border-l-3 border-rule-strong pl-3">
            {findingWords(reason, say)}
          </li>
        ))}
      </ul>
    </section>
  )
}
