import { lazy, Suspense, useState } from 'react'
import { gradesWith } from '../../core/steel/grades'
import type { Grade } from '../../data/grades'
import { useOwnGrades } from '../../store/hooks'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { GradeList } from './GradeList'
import type { SheetBase } from './own/OwnGradeForm'

const GradeView = lazy(() => import('./GradeView'))
const SuggestView = lazy(() => import('./SuggestView'))
const FolkloreView = lazy(() => import('./FolkloreView'))
const OwnGradeForm = lazy(() => import('./own/OwnGradeForm'))

const VIEWS = [
  ['grades', 'Grades'],
  ['suggest', 'Which steel?'],
  ['why', 'Why is that?'],
] as const
type View = (typeof VIEWS)[number][0] | 'own'

export default function SteelsPlace({ grade = asked('grade'), view = asked('view') }) {
  return (
    <Place>
      <Steels firstGrade={grade} firstView={view} />
    </Place>
  )
}

const asked = (name: string): string => new URLSearchParams(location.search).get(name) ?? ''

/** Shows the grades, which one suits a use, and why they behave as they do. */
function Steels({ firstGrade, firstView }: { firstGrade: string; firstView: string }) {
  const shop = useShopNow()
  const own = useOwnGrades()
  const [id, setId] = useState(firstGrade)
  const [view, setView] = useState<View>(
    VIEWS.find(([v]) => v === firstView)?.[0] ?? (firstView === 'own' ? 'own' : 'grades'),
  )
  const [base, setBase] = useState<SheetBase | null>(null)
  const go = (nextView: View, nextId = id, nextBase: SheetBase | null = null) => {
    setBase(nextBase)
    history.replaceState(null, '', `/steels?view=${nextView}&grade=${encodeURIComponent(nextId)}`)
    setView(nextView)
    setId(nextId)
  }
  if (!own) return <p className="p-6 text-ink-2">Reading …</p>
  const grades = gradesWith(own)
  // Links of earlier versions name a grade; those of this one, its id.
  const known = grades.find(g => g.id === id) ?? grades.find(g => g.name === id)
  const grade = known ?? (grades[0] as Grade)
  const isOwn = own.some(g => g.id === grade.id)
  return (
    <div className="px-4 py-5 md:px-8">
      <header className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-1">
        <h1 className="text-page">Steels</h1>
        <nav aria-label="Views of steels" className="flex flex-wrap">
          {VIEWS.map(([key, label]) => (
            <button
              key={key}
              type="button"
              aria-current={view === key ? 'page' : undefined}
              onClick={() => go(key)}
              className={`min-h-touch px-3 ${view === key ? 'font-semibold underline decoration-ember decoration-2 underline-offset-[7px]' : 'text-ink-2 hover:text-ink'}`}
            >
              {label}
            </button>
          ))}
        </nav>
        <button type="button" className="btn ml-auto" onClick={() => go('own', '')}>
          Add a grade of your own
        </button>
      </header>
      {id !== '' && !known && (
        <p role="status" className="mb-3 text-bad">
          There is no steel “{id}” in this workshop any more. Choose one from the list.
        </p>
      )}
      <Suspense fallback={<p className="text-ink-2">Reading …</p>}>
        {view === 'suggest' && <SuggestView grades={grades} onGrade={g => go('grades', g)} />}
        {view === 'why' && <FolkloreView grades={grades} system={shop.units} />}
        {view === 'own' && (
          <OwnGradeForm
            key={base?.grade.id ?? id}
            base={base}
            edited={own.find(g => g.id === id) ?? null}
            names={grades.map(g => g.name)}
            onDone={g => go('grades', g ?? id)}
          />
        )}
        {view === 'grades' && (
          <div className="grid gap-x-10 lg:grid-cols-[236px_minmax(0,1fr)]">
            <GradeList
              grades={grades}
              shown={grade}
              onShow={g => go('grades', g)}
              onBase={from => go('own', '', from)}
            />
            <Suspense fallback={<p className="text-ink-2">Reading …</p>}>
              <GradeView
                key={grade.id}
                grade={grade}
                onEdit={isOwn ? () => go('own', grade.id) : null}
                onBase={() => go('own', '', { grade, pasted: null })}
              />
            </Suspense>
          </div>
        )}
      </Suspense>
    </div>
  )
}
