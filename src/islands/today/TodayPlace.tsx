import { Suspense, useEffect, useMemo, useState } from 'react'
import type { Answer } from '../../core/contract/questions'
import { shortcutIn, shortcutTarget, type Waiting } from '../../core/day/shortcut'
import { tempersWaiting } from '../../core/load/tempers-done'
import { runSecondsAt } from '../../core/run/clock'
import { runStateAt } from '../../core/run/run-state'
import type { Batch } from '../../core/shop/batch'
import { leftOnRollMm } from '../../core/shop/foil-roll'
import type { Run } from '../../core/shop/run'
import { unsaidOf } from '../../core/shop/said'
import { formatQuantity, metresOf } from '../../core/units/quantity'
import { useReadingsOf } from '../../store/hooks'
import { type InHand, useInHand } from '../../store/in-hand'
import { useRunsOfSome } from '../../store/run-hooks'
import { onlyShows } from '../../store/shared-role'
import { ago, today } from '../../ui/dates'
import { fetchedAhead } from '../../ui/fetched-ahead'
import { useSay } from '../../ui/Units'
import { bladesBySteel, marksOf } from '../../words/lists'
import { stepWords } from '../../words/run'
import { assumedWords, SETUP_NAMES, uncertainWords } from '../../words/setup'
import { shortcutWords } from '../../words/shortcuts'
import { hrcText } from '../../words/speaker'
import { stageName } from '../../words/stages'
import { useAnswer, useWarmUp } from '../../workers/use-answer'
import { NewBatchButton } from '../batch/NewBatchButton'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'

/** Its drawing and its planner's words are fetched once the page stands. */
const [DayPart, fetchDayPart] = fetchedAhead(() => import('./DayPart'))

/** Batches shown of those that were measured. */
const MOST_LATELY = 5
/** Batches that are to come and whose length is worked out. */
const MOST_NEXT = 8

export default function TodayPlace() {
  // What the first drawing waits for is under way while the page reads its batches.
  useWarmUp(['lately'])
  useEffect(fetchDayPart, [])
  // Read while the page begins, not after.
  const inHand = useInHand()
  return (
    <Place>
      <Today inHand={inHand} />
    </Place>
  )
}

/** Shows what is hot, what is waiting and what was done; each line leads to its bench. */
function Today({ inHand }: { inHand: InHand | undefined }) {
  const { name: shopName } = useShopNow()
  return (
    <div className="mx-auto max-w-6xl px-4 py-6 md:px-8">
      <header className="mb-3 flex items-end justify-between gap-3 md:mb-6">
        <div>
          <p className="text-ink-2">{shopName}</p>
          <h1 className="figure text-page md:text-figure-large">{today()}</h1>
        </div>
        <span className="no-print">{!onlyShows() && <NewBatchButton />}</span>
      </header>
      {inHand ? <InHandParts inHand={inHand} /> : <p className="text-ink-2">Reading …</p>}
    </div>
  )
}

function InHandParts({ inHand: { batches, measured } }: { inHand: InHand }) {
  const { learning, tester } = useShopNow()
  const runs = useRunsOfSome(batches)
  const practices = useRunsOfSome(batches, 'practice')
  // What was measured was hardened, whether or not its run was guided.
  const ran = new Set([...(runs ?? []).filter(run => run.endedAt !== null).flatMap(run => run.batchIds), ...measured])
  const unread = batches.filter(b => ran.has(b.id) && measured.has(b.id) === false) ?? []
  const recent = useMemo(() => batches.filter(b => measured.has(b.id)).slice(0, MOST_LATELY), [batches, measured])
  const readings = useReadingsOf(recent)
  const lately = useAnswer(
    'lately',
    useMemo(
      () =>
        recent && readings && recent.length > 0
          ? { batches: recent, readings, tester, learning: learning !== false }
          : null,
      [recent, readings, tester, learning],
    ),
  )
  const shop = useShopNow()
  const next = batches.filter(b => !ran.has(b.id) && b.lines.length > 0).slice(0, MOST_NEXT) ?? []
  const days = useAnswer('days', next.length === 0 ? null : { batches: next, shop })
  const takesWords = (batchId: string) => {
    const minutes = days?.ok ? days.value.find(day => day.batchId === batchId)?.totalMin : null
    return minutes
      ? `; ${formatQuantity(Math.round(minutes), 'duration', shop.units)} from oven on to the last temper`
      : ''
  }
  if (!runs) return <p className="text-ink-2">Reading …</p>
  const runsOf = (batch: Batch) => runs.filter(run => run.batchIds.includes(batch.id)).reverse()
  const isHere = (run: Run) => run.endedAt === null && batches.some(b => b.id === run.batchIds[0])
  const hot = runs.filter(isHere)
  const hotIds = new Set(hot.flatMap(run => run.batchIds))
  const practised = (practices ?? []).filter(isHere)
  const planned = batches.filter(b => !ran.has(b.id) && !hotIds.has(b.id))
  const waiting = batches.filter(b => !hotIds.has(b.id) && tempersWaiting(b, runsOf(b)).length > 0)
  const idOf = ({ id }: Batch) => id
  return (
    <>
      <ShortcutTaken
        waiting={{
          hot: hot.flatMap(run => run.batchIds.slice(0, 1)),
          toTemper: waiting.map(idOf),
          toRun: planned.filter(batch => batch.lines.length > 0).map(idOf),
          toRead: unread.map(idOf),
        }}
      />
      {!onlyShows() && <FirstSteps batches={batches} />}
      {batches.length > 0 && (
        // Room for the day from the start, where there is one: what is below does not jump.
        <div className={next.length > 0 ? 'min-h-screen print:min-h-0' : ''}>
          <Suspense fallback={<p className="min-h-screen py-2.5 text-ink-2">Planning the day …</p>}>
            <DayPart batches={batches} runs={runs} measured={measured} />
          </Suspense>
        </div>
      )}
      <Part title="Hot now" empty="Nothing is hot.">
        {hot.map(run => (
          <HotLine key={run.id} run={run} batch={batches.find(b => b.id === run.batchIds[0])} />
        ))}
      </Part>
      {practised.length > 0 && (
        <Part title="Practice, left to wait" empty="">
          {practised.map(run => (
            <HotLine key={run.id} run={run} batch={batches.find(b => b.id === run.batchIds[0])} />
          ))}
        </Part>
      )}
      <Part title="Next" empty="No batch is waiting. Begin one.">
        {planned.map(batch => (
          <Line
            key={batch.id}
            href={`/batch/${batch.id}/${batch.lines.length === 0 ? 'prepare' : 'heat'}`}
            name={batch.name}
            says={`${bladesBySteel(batch)}${takesWords(batch.id)}`}
            action={batch.lines.length === 0 ? 'Enter blades' : 'See the plan'}
          />
        ))}
      </Part>
      <LowFoil />
      {waiting.length > 0 && (
        <Part title="Waiting to be tempered" empty="">
          {waiting.map(batch => (
            <Line
              key={batch.id}
              href={`/run/${batch.id}`}
              name={batch.name}
              says={tempersWaiting(batch, runsOf(batch))
                .map(load => `temper ${load.round}: ${marksOf(load.blades.map(b => b.mark))}`)
                .join('; ')}
              action="Temper"
            />
          ))}
        </Part>
      )}
      <Part title="Waiting for readings" empty="Every batch that ran has been measured.">
        {unread.map(batch => (
          <Line
            key={batch.id}
            href={`/batch/${batch.id}/measure`}
            name={batch.name}
            says={bladesBySteel(batch)}
            action="Measure"
          />
        ))}
      </Part>
      <Part title="Latest batches" empty="Nothing yet.">
        {(recent ?? []).map(batch => (
          <Line
            key={batch.id}
            href={`/batch/${batch.id}/verdict`}
            name={batch.name}
            says={`${measuredWords(lately?.ok ? lately.value.find(one => one.batchId === batch.id) : undefined)}${ago(batch.createdAt)}`}
            action="Verdict"
          />
        ))}
      </Part>
    </>
  )
}

/** Goes where a shortcut of the installed application leads, or says where to choose. */
function ShortcutTaken({ waiting }: { waiting: Waiting }) {
  // Led by what waited as the page opened: nobody is taken away later by what another screen did.
  const [{ shortcut, target }] = useState(() => {
    const shortcut = shortcutIn(location.search)
    return { shortcut, target: shortcut && shortcutTarget(shortcut, waiting) }
  })
  useEffect(() => {
    if (target) location.replace(target)
    else if (shortcut) history.replaceState(null, '', '/')
  }, [shortcut, target])
  if (!shortcut || target) return null
  return <p className="mb-4 border-l-3 border-ember pl-3">{shortcutWords(shortcut, waiting)}</p>
}

/** In a made-up workshop a look round; in one's own what is not said of it yet, and what that costs in certainty. */
function FirstSteps({ batches }: { batches: readonly Batch[] }) {
  const shop = useShopNow()
  const say = useSay()
  const [first] = batches
  const unsaid = unsaidOf(shop)
  if (shop.isDemo)
    return first ? (
      <p className="no-print mb-6 border-l-3 border-ember pl-3">
        Everything here is made up.{' '}
        <a
          className="link font-semibold"
          href={`/batch/${(batches.find(b => b.lines.length > 1) ?? first).id}/choose?tour`}
        >
          Look round in seven stops
        </a>{' '}
        or{' '}
        <a className="link font-semibold" href="/start">
          start your own workshop
        </a>
        .
      </p>
    ) : null
  if (unsaid.length === 0) return null
  return (
    <section aria-label="Not set" className="no-print mb-6 border-l-3 border-ember pl-3">
      {batches.length === 0 && (
        <p className="mb-2 max-w-3xl text-lead">
          Tawny Ember is for makers who harden stainless and high-alloy blades in a programmable oven. A few short steps
          set it up; each can be skipped.
        </p>
      )}
      <h2 className="text-lead font-semibold">Not set: typical values are used</h2>
      <ul className="my-1 text-small">
        {unsaid.map(step => (
          <li key={step} className="py-0.5">
            <strong>{SETUP_NAMES[step]}.</strong> {assumedWords(step, shop, say)} {uncertainWords(step, say)}
          </li>
        ))}
      </ul>
      <a className="btn btn-ember mt-1" href="/start">
        {batches.length === 0 ? 'Set up the workshop' : 'Say it now'}
      </a>
    </section>
  )
}

/** Less foil than this does hardly for a few blades: it is said before one stands at the bench with it, mm. */
const LOW_FOIL_MM = 1500

/** The roll is nearly used up; nothing while it is not, or not counted. */
function LowFoil() {
  const say = useSay()
  const leftMm = leftOnRollMm(useShopNow().foil)
  if (leftMm === undefined || leftMm >= LOW_FOIL_MM) return null
  return (
    <p className="no-print mb-6 border-l-3 border-ember pl-3">
      Foil is low: {say.metres(metresOf(leftMm))} left on the roll.{' '}
      <a className="link" href="/workshop">
        Enter a new roll in the Workshop
      </a>
    </p>
  )
}

/** Returns the latest measurements of each steel of a batch in words; nothing while they are computed. */
const measuredWords = (batch: Answer<'lately'>[number] | undefined): string =>
  batch
    ? `${batch.groups
        .map(({ gradeName, latest }) =>
          latest ? `${gradeName} ${hrcText(latest.hrc)} HRC ${stageName(latest.stage)}` : `${gradeName} not measured`,
        )
        .join(', ')}, `
    : ''

function Part({ title, empty, children }: { title: string; empty: string; children: React.ReactNode[] }) {
  return (
    <section className="no-print mb-6">
      <h2 className="border-b border-rule-strong pb-1 text-lead">{title}</h2>
      {children.length > 0 ? <ul>{children}</ul> : <p className="py-2.5 text-ink-2">{empty}</p>}
    </section>
  )
}

function Line({ href, name, says, action }: { href: string; name: string; says: string; action: string }) {
  return (
    <li className="border-b border-rule">
      <a
        href={href}
        className="group grid min-h-touch grid-cols-[1fr_auto] items-center gap-x-4 py-2 sm:grid-cols-[minmax(0,2fr)_minmax(0,3fr)_110px]"
      >
        <span className="font-semibold">{name}</span>
        <span className="col-span-2 text-ink-2 sm:col-span-1">{says}</span>
        <span className="link row-start-1 col-start-2 text-right font-medium text-ember sm:col-start-3">{action}</span>
      </a>
    </li>
  )
}

function HotLine({ run, batch }: { run: Run; batch: Batch | undefined }) {
  const { units } = useShopNow()
  const state = runStateAt(run, runSecondsAt(run.clock, Date.now()))
  return (
    <Line
      href={`/${run.mode === 'practice' ? 'practice' : 'run'}/${run.batchIds[0]}`}
      name={`${batch?.name ?? ''}${run.batchIds.length > 1 ? ` and ${run.batchIds.length - 1} more` : ''}`}
      says={`${state.step && batch ? stepWords(state.step, batch, units).title : 'done'}, ${state.inOven} in the oven`}
      action={run.mode === 'practice' ? 'Go on' : 'Back to the run'}
    />
  )
}
