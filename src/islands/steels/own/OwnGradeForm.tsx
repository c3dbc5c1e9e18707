import { useEffect, useMemo, useState } from 'react'
import { type FieldErrors, FormProvider, useForm, useWatch } from 'react-hook-form'
import type { Problem } from '../../../core/codes/problem'
import {
  CHART_TEMPER_MIN,
  draftOf,
  EMPTY_DRAFT,
  readSheet,
  type SheetDraft,
} from '../../../core/files/own-grade/sheet-draft'
import { LONGEST } from '../../../core/shop/bounds'
import type { GradeSheet } from '../../../core/shop/grade-sheet'
import { putGrade, removeGrade } from '../../../store/records'
import { toast } from '../../../ui/toast'
import { useSay, useSystem } from '../../../ui/Units'
import { problemWords } from '../../../words/problems'
import type { Speaker } from '../../../words/speaker'
import { undoable } from '../../undo'
import { CompositionFields } from './CompositionFields'
import { Choice, Text } from './SheetFields'
import { SheetPreview } from './SheetPreview'

const KEY = 'tawny-ember-sheet-draft'

/** A half-typed sheet survives a reload: it rests in this browser until it is saved or given up. */
const draftKeeping = {
  read(): SheetDraft | null {
    try {
      const text = localStorage.getItem(KEY)
      return text === null ? null : (JSON.parse(text) as SheetDraft)
    } catch {
      return null
    }
  },
  keep(draft: SheetDraft) {
    try {
      localStorage.setItem(KEY, JSON.stringify(draft))
    } catch {
      // Storage may be blocked or full: the page still holds what was typed.
    }
  },
  forget() {
    try {
      localStorage.removeItem(KEY)
    } catch {
      // Nothing was kept, then.
    }
  },
}

interface Props {
  readonly edited: GradeSheet | null
  readonly names: readonly string[]
  /** The grade to show next, by its id; null: the one before. */
  readonly onDone: (gradeId: string | null) => void
}

/** A grade of one's own from a supplier's sheet: little is asked, the rest is suggested and can be put right. */
export default function OwnGradeForm({ edited, names, onDone }: Props) {
  const say = useSay()
  const system = useSystem()
  // A new sheet is known by this id from its first save on, whatever it comes to be called.
  const [id] = useState(() => edited?.id ?? crypto.randomUUID())
  const taken = useMemo(() => names.filter(name => name !== edited?.name), [names, edited])
  const form = useForm<SheetDraft>({
    defaultValues: edited ? draftOf(edited, system) : (draftKeeping.read() ?? EMPTY_DRAFT),
    resolver: values => {
      const read = readSheet(id, values, system, taken)
      return read.ok ? { values, errors: {} } : { values: {}, errors: errorsOf(read.problems, say) }
    },
  })
  const draft = useWatch({ control: form.control }) as SheetDraft
  useEffect(() => {
    if (!edited) draftKeeping.keep(draft)
  }, [draft, edited])
  const read = useMemo(() => readSheet(id, draft, system, taken), [id, draft, system, taken])
  const save = form.handleSubmit(async values => {
    const sheet = readSheet(id, values, system, taken)
    if (!sheet.ok || !(await putGrade(sheet.value)).saved) return
    draftKeeping.forget()
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
            <Text name="source" label="Where the figures are from" longest={200} hint="the supplier’s sheet" />
          </div>
          <CompositionFields />
          <section aria-label="Windows">
            <h2 className="text-lead">Windows</h2>
            <p className="mb-2 text-note text-ink-2">
              Leave empty what the sheet does not say: a value suggested from the composition stands in.
            </p>
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
              <Text
                name="austenitizeUsual"
                label="Usual austenitize temperature"
                suggested={read.ok ? read.value.austenitize.defaultC : null}
              />
              <Text
                name="austenitizeMin"
                label="Lowest austenitize temperature"
                suggested={read.ok ? read.value.austenitize.minC : null}
              />
              <Text
                name="austenitizeMax"
                label="Highest austenitize temperature"
                suggested={read.ok ? read.value.austenitize.maxC : null}
              />
              <div className="grid grid-cols-2 gap-2">
                <Text
                  name="soakMin"
                  label="Soak of thin blades, min"
                  suggested={read.ok ? read.value.soak.minMin : null}
                  plain
                />
                <Text
                  name="soakMax"
                  label="Soak of thick blades, min"
                  suggested={read.ok ? read.value.soak.maxMin : null}
                  plain
                />
              </div>
              <Text name="temperMin" label="Lowest temper" suggested={read.ok ? read.value.temper.minC : null} />
              <Text name="temperMax" label="Highest temper" suggested={read.ok ? read.value.temper.maxC : null} />
              <Text
                name="targetMin"
                label="Usual target from"
                suggested={read.ok ? read.value.usualTarget.minHrc : null}
                plain
              />
              <Text
                name="targetMax"
                label="Usual target to"
                suggested={read.ok ? read.value.usualTarget.maxHrc : null}
                plain
              />
            </div>
          </section>
          <section aria-label="Tempering chart">
            <h2 className="text-lead">Tempering chart</h2>
            <div className="mt-1 grid gap-3 sm:grid-cols-[1.2fr_1fr]">
              <Text
                name="chart"
                label="One row a line, temper then hardness; paste a table or CSV"
                rows={8}
                hint={'200  60.5\n300  57'}
              />
              <div className="grid content-start grid-cols-2 gap-3">
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
            </div>
          </section>
          <Text name="note" label="Note" longest={400} />
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
                if (!edited) draftKeeping.forget()
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
