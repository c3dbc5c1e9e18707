import { lazy, Suspense, useId, useState } from 'react'
import { findGrade } from '../../core/steel/grades'
import type { Grade } from '../../data/grades'
import { ScrollRegion } from '../../ui/ScrollRegion'
import type { SheetBase } from './own/OwnGradeForm'

const NearGrades = lazy(() => import('./NearGrades'))

/** A pasted line of a sheet has an element beside a number: 'C 1.05', '1.05C'. No name of a grade has carbon so. */
const COMPOSITION = /(^|[\s,;|-])(C|carbon)\s*[:=]?\s*[\d.,]|\d\s*%?\s*C([\s,;-]|$)/i

interface Props {
  readonly grades: readonly Grade[]
  readonly shown: Grade
  readonly onShow: (name: string) => void
  /** Begins a sheet of the maker's own from a grade. */
  readonly onBase: (base: SheetBase) => void
}

const FAMILIES = [
  ['stainless', 'Stainless'],
  ['high-alloy', 'Tool and high-speed'],
  ['low-alloy', 'Oil-hardening, for comparison'],
] as const

/** Grades by family, found by any of their names, or by the composition that a sheet states. */
export function GradeList({ grades, shown, onShow, onBase }: Props) {
  const id = useId()
  const [sought, setSought] = useState('')
  const matches = (g: Grade) =>
    [g.name, ...g.alsoNamed].some(name => name.toLowerCase().includes(sought.trim().toLowerCase()))
  const pasted = COMPOSITION.test(sought)
  const found = pasted ? [] : grades.filter(matches)
  const own = found.filter(g => !findGrade(g.name))
  const groups = [
    ...(own.length > 0 ? [['Your own', own] as const] : []),
    ...FAMILIES.map(([family, label]) => [label, found.filter(g => g.family === family && findGrade(g.name))] as const),
  ]
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="sr-only">
        Find a grade by any name, or paste a composition
      </label>
      <input
        id={id}
        type="search"
        className="field mb-2"
        placeholder="440C, 1.4116 or C 1.45 Cr 14 V 4"
        value={sought}
        onChange={event => setSought(event.target.value)}
      />
      {pasted && (
        <Suspense fallback={<p className="text-ink-2">Reading …</p>}>
          <NearGrades text={sought} grades={grades} onShow={onShow} onBase={onBase} />
        </Suspense>
      )}
      {!pasted && found.length === 0 && (
        <p className="text-ink-2">No grade here has that name. Add it from its sheet.</p>
      )}
      <ScrollRegion label="Grades" className="mb-4 max-h-[260px] overflow-auto lg:max-h-[calc(100dvh-170px)]">
        {groups.map(
          ([label, list]) =>
            list.length > 0 && (
              <section key={label}>
                <h2 className="sticky top-0 bg-ash pt-2 pb-1 text-note font-normal text-ink-2">{label}</h2>
                <ul>
                  {list.map(g => (
                    <li key={g.id} className="border-t border-rule">
                      <button
                        type="button"
                        aria-pressed={g === shown}
                        onClick={() => onShow(g.id)}
                        className={`block min-h-touch w-full border-l-3 py-1.5 pl-3 text-left ${g === shown ? 'border-ember font-semibold' : 'border-transparent'}`}
                      >
                        {g.name}
                        <span className="block text-note font-normal text-ink-2">
                          {g.alsoNamed.slice(0, 2).join(', ')}
                        </span>
                      </button>
                    </li>
                  ))}
                </ul>
              </section>
            ),
        )}
      </ScrollRegion>
    </div>
  )
}
