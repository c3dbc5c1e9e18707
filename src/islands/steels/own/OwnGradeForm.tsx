import { useEffect, useMemo, useState } from 'react'
import { type FieldErrors, FormProvider, type Path, useForm, useWatch } from 'react-hook-form'
import type { Problem } from '../../../core/codes/problem'
import { parseChartText } from '../../../core/files/own-grade/chart-text'
import {
  CHART_TEMPER_MIN,
  draftFrom,
  draftOf,
  emptyDraft,
  readSheet,
  type SheetDraft,
} from '../../../core/files/own-grade/sheet-draft'
import { LONGEST } from '../../../core/shop/bounds'
import type { GradeSheet } from '../../../core/shop/grade-sheet'
import type { Composition, Grade } from '../../../data/grades'
import { putGrade, removeGrade } from '../../../store/records'
import { toast } from '../../../ui/toast'
import { useSay, useSystem } from '../../../ui/Units'
import { problemWords } from '../../../words/problems'
import type { Speaker } from '../../../words/speaker'
import { chartReadWords, compositionWords, skippedLineWords, windowsWords } from '../../../words/steels'
import { undoable } from '../../undo'
import { CompositionFields } from './CompositionFields'
import { PasteSheet } from './PasteSheet'
import { Choice, Fold, Text } from './SheetFields'
import { SheetPreview } from './SheetPreview'

const KEY = 'tawny-ember-sheet-draft'

/** A half-typed sheet survives a reload: it rests in this browser until it is saved or given up. */
const draftKeeping = (key: string) => ({
  read(): Partial<SheetDraft> | null {
    try {
      const text = localStorage.getItem(key)
      return text === null ? null : (JSON.parse(text) as Partial<SheetDraft>)
    } catch {
      return null
    }
  },
  keep(draft: SheetDraft) {
    try {
      localStorage.setItem(key, JSON.stringify(draft))
    } catch {
      // Storage may be blocked or full: the page still holds what was typed.
    }
  },
  forget() {
    try {
      localStorage.removeItem(key)
    } catch {
      // Nothing was kept, then.
    }
  },
})

/** Grade that a new sheet begins from, with the composition that was pasted from the maker's own sheet. */
export interface SheetBase {
  readonly grade: Grade
  readonly pasted: Composition | null
}

const COMPOSITION_FIELDS = ['nominal', 'least', 'most'] as const
const CHART_FIELDS = ['chartSoakAt', 'chartSoakFor', 'chartCold', 'chartTemperFor'] as const
/** Fields of the ranges, with what stands in where one is left empty; `plain`: minutes or HRC, in no scale of temperature. */
const RANGE_FIELDS: readonly {
  readonly name: Path<SheetDraft>
  readonly label: string
  readonly of: (grade: Grade) => number
  readonly plain?: true
}[] = [
  { name: 'austenitizeUsual', label: 'Usual austenitize temperature', of: grade => grade.austenitize.defaultC },
  { name: 'austenitizeMin', label: 'Lowest austenitize temperature', of: grade => grade.austenitize.minC },
  { name: 'austenitizeMax', label: 'Highest austenitize temperature', of: grade => grade.austenitize.maxC },
  { name: 'soakMin', label: 'Soak of thin blades, min', of: grade => grade.soak.minMin, plain: true },
  { name: 'soakMax', label: 'Soak of thick blades, min', of: grade => grade.soak.maxMin, plain: true },
  { name: 'temperMin', label: 'Lowest temper', of: grade => grade.temper.minC },
  { name: 'temperMax', label: 'Highest temper', of: grade => grade.temper.maxC },
  { name: 'targetMin', label: 'Usual target from', of: grade => grade.usualTarget.minHrc, plain: true },
  { name: 'targetMax', label: 'Usual target to', of: grade => grade.usualTarget.maxHrc, plain: true },
]

interface Props {
  readonly edited: GradeSheet | null
  readonly base: SheetBase | null
  readonly names: readonly string[]
  /** The grade to show next, by its id; null: the one before. */
  readonly onDone: (gradeId: string | null) => void
}

/** A grade of one's own from a supplier's sheet: little is asked, the rest is suggested and can be put right. */
export default function OwnGradeForm({ edited, base, names, onDone }: Props) {
  const say = useSay()
  const system = useSystem()
  // A new sheet is known by this id from its first save on, whatever it comes to be called.
  const [id] = useState(() => edited?.id ?? crypto.randomUUID())
  const taken = useMemo(() => names.filter(name => name !== edited?.name), [names, edited])
  const keeping = useMemo(() => draftKeeping(base ? `${KEY}-${base.grade.id}` : KEY), [base])
  useEffect(
    () => document.querySelector<HTMLElement>(base ? 'textarea[name=chart]' : 'input[name=name]')?.focus(),
    [base],
  )
  const begun = () => (base ? draftFrom(base.grade, base.pasted, system, taken) : emptyDraft(system))
  const form = useForm<SheetDraft>({
    defaultValues: edited ? draftOf(edited, system) : { ...begun(), ...keeping.read() },
    resolver: values => {
      const read = readSheet(id, values, taken)
      return read.ok ? { values, errors: {} } : { values: {}, errors: errorsOf(read.problems, say) }
    },
  })
  const draft = useWatch({ control: form.control }) as SheetDraft
  useEffect(() => {
    if (!edited) keeping.keep(draft)
  }, [draft, edited, keeping])
  const read = useMemo(() => readSheet(id, draft, taken), [id, draft, taken])
  const chart = useMemo(() => parseChartText(draft.chart, draft.units), [draft.chart, draft.units])
  const save = form.handleSubmit(async values => {
    const sheet = readSheet(id, values, taken)
    if (!sheet.ok || !(await putGrade(sheet.value)).saved) return
    keeping.forget()
    toast(`${sheet.value.name} saved`)
    onDone(sheet.value.id)
  })
  const remove = async () => {
    if (!edited || !(await removeGrade(edited)).saved) return
    undoable(`${edited.name} deleted; batches and recipes keep their own copy`)
    onDone(null)
  }
  return (
    <FormProvider {...form}>
      <form onSubmit={save} noValidate className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="min-w-0 space-y-5">
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-[1.4fr_1fr_1.6fr]">
            <Text name="name" label="Name" longest={LONGEST.gradeName} />
            <Choice
              name="made"
              label="Made as"
              options={[
                ['ingot', 'ingot'],
                ['powder', 'atomised powder'],
              ]}
            />
            <Choice
              name="units"
              label="Temperatures of the sheet"
              options={[
                ['metric', '°C'],
                ['imperial', '°F'],
              ]}
            />
          </div>
          <PasteSheet />
          <Fold
            title="Composition, wt%"
            says={compositionWords(draft.nominal) || 'none yet'}
            names={COMPOSITION_FIELDS}
          >
            <CompositionFields />
          </Fold>
          <section aria-label="Tempering chart">
            <Text
              name="chart"
              label="Tempering chart: one row a line, temper then hardness; paste a table or CSV"
              rows={6}
              hint={'200  60.5\n300  57'}
            />
            {draft.chart.trim() !== '' && (
              <p role="status" className="mt-1 text-small">
                {chartReadWords(chart)}
              </p>
            )}
            <ul>
              {chart.skipped.map(line => (
                <li key={line.line} className="border-l-3 border-bad pl-3 text-small">
                  Line {line.line}, “{line.text}”: {skippedLineWords(line, say)}.
                </li>
              ))}
            </ul>
          </section>
          <Fold title="How the chart was made" says="austenitize temperature, soak, cold, tempers" names={CHART_FIELDS}>
            <div className="grid content-start grid-cols-2 gap-3 sm:grid-cols-3">
              <Text
                name="chartSoakAt"
                label="Austenitize temperature of the chart"
                suggested={read.ok ? read.value.austenitize.defaultC : null}
              />
              <Text
                name="chartSoakFor"
                label="Soak of the chart, min"
                suggested={read.ok ? read.value.soak.maxMin : null}
                plain
              />
              <Text name="chartCold" label="Cold of the chart" hint="none" />
              <Choice
                name="chartTempers"
                label="Number of tempers"
                options={[
                  ['1', 'one'],
                  ['2', 'two'],
                  ['3', 'three'],
                ]}
              />
              <Text name="chartTemperFor" label="Hold of each temper, min" suggested={CHART_TEMPER_MIN} plain />
            </div>
          </Fold>
          <Fold
            title="Temperature ranges and target"
            says={read.ok ? windowsWords(read.value, say) : 'suggested from the composition'}
            names={RANGE_FIELDS.map(({ name }) => name)}
          >
            <p className="mb-2 text-note text-ink-2">
              Leave empty what the sheet does not say: a value suggested from the composition stands in.
            </p>
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
              {RANGE_FIELDS.map(({ of, ...field }) => (
                <Text key={field.name} {...field} suggested={read.ok ? of(read.value) : null} />
              ))}
            </div>
          </Fold>
          <Fold title="Source and note" says={draft.source || 'the supplier’s sheet'} names={['source', 'note']}>
            <Text name="source" label="Where the figures are from" longest={200} hint="the supplier’s sheet" />
            <Text name="note" label="Note" longest={400} />
          </Fold>
        </div>
        <div className="min-w-0">
          <SheetPreview draft={draft} read={read} />
          <div className="mt-4 flex flex-wrap gap-2">
            <button type="submit" className="btn btn-ember">
              Save this grade
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => {
                if (!edited) keeping.forget()
                onDone(edited?.id ?? null)
              }}
            >
              {edited ? 'Discard changes' : 'Discard'}
            </button>
            {edited && (
              <button type="button" className="btn btn-plain" onClick={() => void remove()}>
                Delete
              </button>
            )}
          </div>
        </div>
      </form>
    </FormProvider>
  )
}

/** Problems by their dotted path, as the form keeps them. */
function errorsOf(problems: readonly Problem[], say: Speaker): FieldErrors<SheetDraft> {
  const errors: Record<string, object> = {}
  for (const found of problems) {
    const [field = '', part] = found.path.split('.')
    const error = { type: 'sheet', message: problemWords(found, say) }
    if (part === undefined) errors[field] ??= error
    else errors[field] = { [part]: error, ...errors[field] }
  }
  return errors
}
