import { Suspense, startTransition, useDeferredValue, useEffect, useMemo, useState } from 'react'
import type { Recipe } from '../../core/shop/recipe'
import { gradeOf } from '../../core/steel/grades'
import { withTemperC } from '../../core/steel/usual'
import type { Grade } from '../../data/grades'
import { useRecipe } from '../../store/hooks'
import { ago } from '../../ui/dates'
import { fetchedAhead } from '../../ui/fetched-ahead'
import { fetchHeatLine, HeatLine } from '../../ui/heatline/heat-line-part'
import { Problems } from '../../ui/Problems'
import { useSystem } from '../../ui/Units'
import { useWarmUp } from '../../workers/use-answer'
import { addressPart } from '../address'
import { mapLimits } from '../map-limits'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { useLearnt } from '../use-learnt'
import { usePredictions } from '../use-predictions'
import { useRecipeMap } from '../use-recipe-map'
import { MapRouteFields } from './MapRouteFields'
import { type AddedRoute, type DraftRoute, latestOf, type RecipeRoute } from './recipe-edit'
import { useRecipeLine } from './use-recipe-line'

/** A recipe's route as a Heat Line, without a batch: its stations are not places yet. */
function RecipeHeatLine({ route, grade }: { route: RecipeRoute; grade: Grade }) {
  const system = useSystem()
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const answer = useDeferredValue(useRecipeLine(route, grade))
  const soot = <div className="min-h-[160px]" />
  if (!answer?.ok) return soot
  return (
    <Suspense fallback={soot}>
      <HeatLine stretches={answer.value} others={[]} system={system} stations={null} trace={[]} now={null} />
    </Suspense>
  )
}

/** Both show what a worker works out first: they are fetched meanwhile. */
const [RecipeMap, fetchMap] = fetchedAhead(async () => ({
  default: (await import('../../ui/recipe-map/RecipeMap')).RecipeMap,
}))
const [RoutesSheet, fetchSheet] = fetchedAhead(() => import('./RoutesSheet'))

export default function RecipePlace({ id = addressPart(2) }) {
  useWarmUp(['predictions', 'recipe-map'])
  useEffect(() => {
    for (const fetch of [fetchHeatLine, fetchMap, fetchSheet]) fetch()
  }, [])
  return (
    <Place>
      <Loaded id={id} />
    </Place>
  )
}

function Loaded({ id }: { id: string }) {
  const recipe = useRecipe(id)
  if (recipe === undefined) return <div className="min-h-[236px] bg-soot" />
  const grade = recipe && gradeOf(recipe)
  if (!recipe || !grade)
    return (
      <div className="p-6">
        <h1 className="text-heading">There is no such recipe here</h1>
        <p className="my-3">It belongs to another browser, or its steel is not known to this version.</p>
        <a className="btn btn-ember" href="/recipes">
          See all recipes
        </a>
      </div>
    )
  return <RecipeView key={recipe.versions.length} recipe={recipe} grade={grade} />
}

const Drawing = () => <p className="pt-10 text-center text-ink-2">Drawing the map …</p>

const KEYS = ['A', 'B', 'C'] as const
const MAP_HEIGHT = 392

/** A recipe as a point on its map, up to two other routes beside it, and the Heat Line of the one that is moved. */
function RecipeView({ recipe, grade }: { recipe: Recipe; grade: Grade }) {
  const shop = useShopNow()
  const latest = latestOf(recipe)
  const [drafts, setDrafts] = useState<readonly DraftRoute[]>([
    {
      key: 'A',
      label: `version ${latest.number}`,
      route: latest.route,
      grade,
      from: { recipe, number: latest.number },
    },
  ])
  const [activeKey, setActiveKey] = useState('A')
  const active = drafts.find(d => d.key === activeKey) ?? (drafts[0] as DraftRoute)
  const learnt = useLearnt()
  const map = useRecipeMap(active.grade, active.route, recipe.target, learnt)
  const limits = useMemo(() => mapLimits(active.grade, shop), [active.grade, shop])
  const predictions = usePredictions(
    useMemo(() => drafts.map(({ route, grade: own }) => ({ grade: own, route })), [drafts]),
    learnt,
  )
  // While a route that was just added is worked out, those that were there are shown.
  const compared = drafts.flatMap(({ key, route }, i) => {
    const prediction = predictions?.[i]
    return prediction ? [{ name: key, route, prediction }] : []
  })
  const setRoute = (key: string, route: RecipeRoute) =>
    // Not urgent: the point keeps to the hand, and figures and Heat Line follow as they can.
    startTransition(() => {
      setActiveKey(key)
      setDrafts(all => all.map(d => (d.key === key ? { ...d, route, from: null } : d)))
    })
  const add = (added: AddedRoute) => {
    const key = KEYS.find(k => !drafts.some(d => d.key === k))
    if (!key) return
    setDrafts([...drafts, { key, ...added }])
    setActiveKey(key)
  }
  const remove = (key: string) => {
    setDrafts(drafts.filter(d => d.key !== key))
    setActiveKey('A')
  }
  return (
    <>
      <div className="on-soot bg-soot text-bone">
        <header className="flex min-h-touch flex-wrap items-center gap-x-4 px-4 pt-1 md:pl-6">
          <h1 className="text-heading font-semibold">{recipe.name}</h1>
          <p className="text-small text-bone-2">
            {grade.name}, version {latest.number} of {ago(latest.at)}; target {recipe.target.min} to {recipe.target.max}{' '}
            HRC
          </p>
        </header>
        <RecipeHeatLine route={active.route} grade={active.grade} />
      </div>
      <section
        aria-label="Recipe map"
        className="grid gap-x-8 gap-y-4 px-4 py-3 md:px-6 lg:grid-cols-[minmax(0,1fr)_minmax(340px,470px)]"
      >
        <div className="min-w-0">
          <header className="mb-1 flex flex-wrap items-baseline gap-x-5">
            <h2 className="text-heading">Recipe map</h2>
            <p className="text-small text-ink-2">
              Hardness by soak and temper; bold lines hold the target. Drag the point.
            </p>
          </header>
          <div style={{ height: MAP_HEIGHT }}>
            {map?.ok ? (
              <Suspense fallback={<Drawing />}>
                <RecipeMap
                  map={map.value}
                  target={recipe.target}
                  points={drafts
                    .filter(d => d.grade.id === active.grade.id)
                    .map(d => ({
                      key: d.key,
                      austenitizeC: d.route.austenitizeC,
                      temperC: Math.max(100, ...d.route.tempers.map(t => t.atC)),
                      active: d.key === active.key,
                      hrc: compared.find(({ name }) => name === d.key)?.prediction.finalHrc.mean ?? null,
                    }))}
                  limits={limits}
                  system={shop.units}
                  height={MAP_HEIGHT}
                  onMove={(key, austenitizeC, temperC) => {
                    const moved = drafts.find(d => d.key === key)
                    if (moved) setRoute(key, withTemperC({ ...moved.route, austenitizeC }, temperC))
                  }}
                />
              </Suspense>
            ) : map ? (
              <Problems of={map.problems} className="pt-10" />
            ) : (
              <Drawing />
            )}
          </div>
          <MapRouteFields draft={active} onRoute={route => setRoute(active.key, route)} />
        </div>
        <Suspense fallback={<div className="min-h-[420px]" />}>
          <RoutesSheet
            recipe={recipe}
            grade={grade}
            drafts={drafts}
            compared={compared}
            active={active}
            onActive={setActiveKey}
            onRemove={remove}
            onAdd={add}
          />
        </Suspense>
      </section>
    </>
  )
}
