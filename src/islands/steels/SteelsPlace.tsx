import { lazy, Suspense, useState } from 'react'
import type { Workshop } from '../../core/record/schemas'
import { gradesWith } from '../../core/steel/grades'
import type { Grade } from '../../data/grades'
import { useOwnGrades } from '../../store/hooks'
import { Place } from '../Place'
import { GradeList } from './GradeList'
import { GradeView } from './GradeView'

const SuggestView = lazy(() => import('./SuggestView'))
const FolkloreView = lazy(() => import('./FolkloreView'))
const OwnGradeForm = lazy(() => import('./own/OwnGradeForm'))

const VIEWS = [
  ['grades', 'Grades'],
  ['suggest', 'Which steel?'],
  ['why', 'Why is that?'],
] as const
type View = (typeof VIEWS)[number][0] | 'own'

export default function SteelsPlace({ grade, view }: { grade: string; view: string }) {
  return <Place>{shop => <Steels shop={shop} firstGrade={grade} firstView={view} />}</Place>
}

/** What is known of each steel, which one suits a use, and why they behave as they do. */
function Steels({ shop, firstGrade, firstView }: { shop: Workshop; firstGrade: string; firstView: string }) {
  const own = useOwnGrades()
  const [name, setName] = useState(firstGrade)
  const [view, setView] = useState<View>(
    VIEWS.find(([v]) => v === firstView)?.[0] ?? (firstView === 'own' ? 'own' : 'grades'),
  )
  const go = (nextView: View, nextName = name) => {
    history.replaceState(null, '', `/steels?view=${nextView}&grade=${encodeURIComponent(nextName)}`)
    setView(nextView)
    setName(nextName)
  }
  if (!own) return <p className="p-6 text-ink-2">Reading …</p>
  const grades = gradesWith(own)
  const grade = grades.find(g => g.name === name) ?? (grades[0] as Grade)
  const isOwn = own.some(g => g.name === grade.name)
  return (
    <div className="px-4 py-5 md:px-8">
      <header className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-1">
        <h1 className="text-[26px]">Steels</h1>
        <nav aria-label="Views of steels" className="flex flex-wrap">
          {VIEWS.map(([key, label]) => (
            <button
              key={key}
              type="button"
              aria-current={view === key ? 'page' : undefined}
              onClick={() => go(key)}
              className={`min-h-11 px-3 ${view === key ? 'font-semibold underline decoration-ember decoration-2 underline-offset-[7px]' : 'text-ink-2 hover:text-ink'}`}
            >
              {label}
            </button>
          ))}
        </nav>
        <button type="button" className="btn ml-auto" onClick={() => go('own', '')}>
          Add a grade of your own
        </button>
      </header>
      <Suspense fallback={<p className="text-ink-2">Reading …</p>}>
        {view === 'suggest' && <SuggestView shop={shop} grades={grades} onGrade={g => go('grades', g)} />}
        {view === 'why' && <FolkloreView grades={grades} system={shop.units} />}
        {view === 'own' && (
          <OwnGradeForm
            key={name}
            edited={own.find(g => g.name === name) ?? null}
            names={grades.map(g => g.name)}
            onDone={g => go('grades', g ?? name)}
          />
        )}
        {view === 'grades' && (
          <div className="grid gap-x-10 lg:grid-cols-[236px_minmax(0,1fr)]">
            <GradeList grades={grades} shown={grade} onShow={g => go('grades', g)} />
            <GradeView key={grade.name} grade={grade} shop={shop} onEdit={isOwn ? () => go('own', grade.name) : null} />
          </div>
        )}
      </Suspense>
    </div>
  )
}
