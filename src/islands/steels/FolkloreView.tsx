import { useId, useMemo, useState } from 'react'
import type { Batch, BatchGroup } from '../../core/shop/batch'
import { COLD_STEPS_C, knobOf, settingOf, TALES, type TaleName } from '../../core/steel/folklore'
import { formatTemperature, type System } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { useNewestBatches } from '../../store/hooks'
import { AlongKnob } from '../../ui/drawings/AlongKnob'
import { SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { inUnits } from '../../words/marked'
import { KNOB_WORDS, seenWords } from '../../words/steels'
import { useAnswer } from '../../workers/use-answer'

/** Newest batches that are looked through for one of the steel shown. */
const NEWEST = 60

const TOLD: Readonly<Record<TaleName, { title: string; said: string; so: string }>> = {
  'hardness-rust': {
    title: 'Hardness and rust',
    said: '“The softer it is, the more stainless.”',
    so: 'What keeps a blade bright is chromium dissolved in the steel. The soak sets that; a low temper changes hardness alone.',
  },
  cold: {
    title: 'What cold does',
    said: '“Freezing makes it another steel.”',
    so: 'Cold finishes the quench: retained austenite that was left turns to martensite. It dissolves no carbide and moves no chromium.',
  },
  twice: {
    title: 'Why temper twice',
    said: '“Once at the right heat is enough.”',
    so: 'In the high range the first temper itself makes new, brittle martensite on cooling. Low tempers need the second one less; it evens them out.',
  },
  'not-450': {
    title: 'Why not {450C}',
    said: '“Hardness comes back up there, so it is as good.”',
    so: 'Hardness does come back near {500C}, by fine new carbides. They are made of the chromium that kept it stainless.',
  },
  'hotter-softer': {
    title: 'Why hotter turns softer',
    said: '“More heat, more hardness.”',
    so: 'More heat dissolves more carbon. Past a point it keeps the steel from turning to martensite at all, and the grain grows.',
  },
}

/** Short explanations, each driven by the live model for a grade of one's choice. */
export default function FolkloreView({ grades, system }: { grades: readonly Grade[]; system: System }) {
  const say = useSay()
  const [tale, setTale] = useState<TaleName>('hardness-rust')
  const [name, setName] = useState('')
  const batches = useNewestBatches(NEWEST)?.batches
  const own = batches?.flatMap(batch => batch.groups.map(group => ({ batch, group })))
  // The steel of the newest batch is the one a maker asks about.
  const newest = own?.map(({ group }) => grades.find(g => g.id === group.gradeId)).find(g => g !== undefined)
  const grade = grades.find(g => g.name === name) ?? newest ?? (grades[0] as Grade)
  const ofGrade = own?.find(({ group }) => group.gradeId === grade.id) ?? null
  if (!batches) return null
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[250px_minmax(0,1fr)]">
      <div>
        <SelectField
          label="Shown on"
          value={grade.name}
          options={grades.map(g => [g.name, g.name] as const)}
          onCommit={setName}
        />
        <ul className="mt-3">
          {TALES.map(key => (
            <li key={key} className="border-t border-rule">
              <button
                type="button"
                aria-pressed={key === tale}
                onClick={() => setTale(key)}
                className={`block min-h-touch w-full border-l-3 py-2 pl-3 text-left ${key === tale ? 'border-ember font-semibold' : 'border-transparent'}`}
              >
                {inUnits(TOLD[key].title, say)}
              </button>
            </li>
          ))}
        </ul>
      </div>
      <Tale key={`${tale} ${grade.name}`} tale={tale} grade={grade} system={system} own={ofGrade} />
    </div>
  )
}

interface TaleProps {
  readonly tale: TaleName
  readonly grade: Grade
  readonly system: System
  /** The maker's newest batch of this steel, and its group; null: none. */
  readonly own: { readonly batch: Batch; readonly group: BatchGroup } | null
}

function Tale({ tale, grade, system, own }: TaleProps) {
  const say = useSay()
  const id = useId()
  const knob = useMemo(() => knobOf(tale, grade), [tale, grade])
  const ownAt = own && settingOf(tale, grade, own.group.route)
  const [at, setAt] = useState(ownAt ?? knob.first)
  const answer = useAnswer(
    'tale',
    useMemo(() => ({ tale, grade, at }), [tale, grade, at]),
  )
  const told = answer?.ok ? answer.value : null
  const { said } = TOLD[tale]
  const title = inUnits(TOLD[tale].title, say)
  const so = inUnits(TOLD[tale].so, say)
  return (
    <section aria-label={title} className="min-w-0 max-w-[860px]">
      <h2 className="text-title">{title}</h2>
      <p className="mt-1 text-large text-ink-2 italic">{said}</p>
      <div className="mt-5">
        <label htmlFor={id} className="flex justify-between">
          <span>{KNOB_WORDS[knob.moves]}</span>
          <strong>{settingText(knob.kind, at, system)}</strong>
        </label>
        <input
          id={id}
          type="range"
          className="h-11 w-full accent-ember"
          min={knob.min}
          max={knob.max}
          step={knob.step}
          value={at}
          aria-valuetext={settingText(knob.kind, at, system)}
          onChange={event => setAt(Number(event.target.value))}
        />
      </div>
      {own && ownAt !== null && (
        <p className="mb-3 text-small">
          <button type="button" className="link min-h-touch" onClick={() => setAt(ownAt)}>
            {own.batch.name}: {settingText(knob.kind, ownAt, system)}
          </button>
          {at === ownAt && ', as it is shown here'}
        </p>
      )}
      <div className={`grid gap-x-8 gap-y-4 sm:grid-cols-2 ${(told?.figures.length ?? 0) > 2 ? 'xl:grid-cols-3' : ''}`}>
        {told?.figures.map(figure => (
          <AlongKnob key={figure.name} figure={figure} at={at} />
        ))}
      </div>
      <p className="mt-5 text-lead" role="status">
        {told ? seenWords(told.seen, say) : 'Asking the model …'}
      </p>
      <p className="mt-2 text-ink-2">{so}</p>
    </section>
  )
}

const settingText = (kind: 'temperature' | 'cold', at: number, system: System): string => {
  if (kind === 'temperature') return formatTemperature(at, system)
  const c = COLD_STEPS_C[Math.round(at)] ?? null
  return c === null ? 'none' : formatTemperature(c, system)
}
