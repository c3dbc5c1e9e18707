import { lazy, Suspense, useMemo, useState } from 'react'
import { worked } from '../../../core/codes/working'
import type { Answer } from '../../../core/contract/questions'
import { contactOf } from '../../../core/job/plates'
import { linesOf } from '../../../core/job/tray'
import { seconds800to500Of } from '../../../core/quench/cooling-time'
import { BOUNDS } from '../../../core/shop/bounds'
import type { Workshop } from '../../../core/shop/workshop'
import { formatQuantity, type System } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { PACE } from '../../../data/pace'
import { CONTACT } from '../../../data/thermal'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { PlatesDrawing } from '../../../ui/drawings/PlatesDrawing'
import { SelectField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { bandText, hrcText } from '../../../words/speaker'
import { useAnswer } from '../../../workers/use-answer'
import { usePredictions } from '../../use-predictions'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { EmptyTray } from './EmptyTray'
import { OwnPlatesView } from './plates/OwnPlatesView'
import { PullListView } from './plates/PullListView'
import { quenchRequestOf } from './plates/plates-request'
import { WaysView } from './plates/WaysView'

const QuenchChart = lazy(() => import('../../../ui/charts/QuenchChart'))

const AIR_WORDS: Readonly<Record<Workshop['plates']['air'], string>> = {
  still: 'still air',
  fan: 'a fan',
  'air-blast': 'air blast',
}
const VIEWS = [
  ['one', 'One packet'],
  ['pull', 'Pull list'],
  ['ways', 'Ways compared'],
  ['own', 'Your plates'],
] as const
/** Blades followed one after another. */
const MOST_IN_ROW = 15

/** From soak to hand-warm: one packet between the plates, and how many the plates take one after another. */
export function PlatesBench() {
  const say = useSay()
  const { batch, shown, shop, load, learnt } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('one')
  const { plates } = shop
  const line = [...linesOf(batch, shown.group.id)].sort((a, b) => b.thicknessMm - a.thicknessMm)[0]
  const queue = load?.blades ?? []
  const request = (contactWPerM2K: number, count: number) =>
    line ? quenchRequestOf(line, shown, shop, contactWPerM2K, count) : null
  const usual = useAnswer('quench', request(contactOf(shop), 1))
  const poor = useAnswer('quench', request(CONTACT.clampedLow, 1))
  const good = useAnswer('quench', request(CONTACT.clampedHigh, 1))
  const row = useAnswer('quench', request(contactOf(shop), Math.max(1, Math.min(MOST_IN_ROW, queue.length))))
  const first = usual?.ok ? usual.value.blades[0] : undefined
  const seconds800to500 = first && seconds800to500Of(first)
  const { grade, group } = shown
  const [prediction = shown.prediction] =
    usePredictions(
      useMemo(() => [{ grade, route: { ...group.route, seconds800to500 } }], [grade, group.route, seconds800to500]),
      learnt,
    ) ?? []
  if (!line) return <EmptyTray title="Plates" what="how fast the plates take the heat" />
  const mark = queue.find(b => b.line.id === line.id)?.mark ?? line.mark
  const quench = usual?.ok ? usual.value : null
  const range = (mark: string): string => {
    const value = (answer: typeof usual) => (answer?.ok ? (answer.value.blades[0]?.secondsTo[mark] ?? null) : null)
    const shown = (s: number | null) => (s === null ? '∞' : s < 10 ? s.toFixed(1) : Math.round(s).toString())
    return `s, ${shown(value(good))} to ${shown(value(poor))}`
  }
  const at = (mark: string) => {
    const s = first?.secondsTo[mark]
    return s === null || s === undefined ? '—' : s < 10 ? s.toFixed(1) : String(Math.round(s))
  }
  const slow = (seconds800to500 ?? 0) > shown.grade.quench.slowest800to500S
  const set = (part: Partial<Workshop['plates']>) => saveShop(s => ({ ...s, plates: { ...s.plates, ...part } }))
  return (
    <Bench
      title="Plates"
      says={`The thickest of this steel, ${mark}, ${formatQuantity(line.thicknessMm, 'length', shop.units)}.`}
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'pull' ? (
          <PullListView />
        ) : view === 'ways' ? (
          <WaysView line={line} mark={mark} />
        ) : view === 'own' ? (
          <OwnPlatesView line={line} mark={mark} />
        ) : (
          <>
            <PlatesDrawing
              plates={plates}
              blade={line}
              mark={mark}
              waiting={queue.map(b => b.mark)}
              system={shop.units}
            />
            <div className="mt-3 h-[170px]">
              <Suspense fallback={null}>
                {quench && (
                  <QuenchChart
                    curve={quench.curve}
                    martensiteStartC={shown.prediction.martensiteStartC}
                    system={shop.units}
                  />
                )}
              </Suspense>
            </div>
          </>
        )
      }
      figures={
        <>
          <Figure
            label={`Below ${formatQuantity(500, 'temperature', shop.units)}`}
            value={at('500')}
            unit={range('500')}
            working={quench?.working}
            note="The range is contact from 300 to 1200 W/m²K: how well the foil lies, and how hard the vice is shut."
          />
          <Figure
            label={`Hand-warm, ${formatQuantity(60, 'temperature', shop.units)}`}
            value={at('60')}
            unit={range('60')}
            working={quench?.working}
          />
          {row?.ok && queue.length > 1 && <InARow row={row.value} system={shop.units} />}
          <Figure
            label="Hardness this quench allows"
            value={hrcText(prediction.hrc.asQuenched.mean)}
            unit={`HRC ${bandText(prediction.hrc.asQuenched.sd)}`}
            working={prediction.working}
          />
          {row?.ok && <Warnings lines={row.value.cautions} />}
          {slow && shown.group.route.seconds800to500 === undefined && (
            <button
              type="button"
              className="btn my-2"
              onClick={() =>
                void editGroup(batch, shown.group.id, 'Slow quench', g => ({
                  ...g,
                  route: { ...g.route, seconds800to500: Math.max(0.1, seconds800to500 ?? 0) },
                }))
              }
            >
              Count it in every prediction of this batch
            </button>
          )}
          {shown.group.route.seconds800to500 !== undefined && (
            <p className="my-2 text-small">
              Every prediction of this batch counts {Math.round(shown.group.route.seconds800to500)} s from{' '}
              {say.bare(800)} to {say.t(500)}.{' '}
              <button
                type="button"
                className="link min-h-9"
                onClick={() =>
                  void editGroup(batch, shown.group.id, 'Quench as usual', g => {
                    const { seconds800to500: _, ...route } = g.route
                    return { ...g, route }
                  })
                }
              >
                Take it as fast enough
              </button>
            </p>
          )}
          {slow && (
            <Warnings
              lines={[
                {
                  code: 'slow',
                  message: `Slower from ${say.bare(800)} to ${say.t(500)} than the ${shown.grade.quench.slowest800to500S} s this grade allows.`,
                },
              ]}
            />
          )}
          <CautionNote>
            {CAUTIONS.plates} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        view === 'one' && (
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-5">
            <QuantityField
              label="Plate thickness"
              dimension="length"
              value={plates.thicknessMm}
              {...BOUNDS.plateThicknessMm}
              onCommit={thicknessMm => set({ thicknessMm })}
            />
            <QuantityField
              label="Plate width"
              dimension="length"
              value={plates.widthMm}
              {...BOUNDS.plateWidthMm}
              onCommit={widthMm => set({ widthMm })}
            />
            <QuantityField
              label="Plate length"
              dimension="length"
              value={plates.lengthMm}
              {...BOUNDS.plateLengthMm}
              onCommit={lengthMm => set({ lengthMm })}
            />
            <QuantityField
              label="Plates start at"
              dimension="temperature"
              value={plates.startC}
              {...BOUNDS.plateStartC}
              onCommit={startC => set({ startC })}
            />
            <SelectField
              label="Plates cooled by"
              value={plates.air}
              options={Object.entries(AIR_WORDS).map(([k, v]) => [k as Workshop['plates']['air'], v] as const)}
              onCommit={air => set({ air })}
            />
          </div>
        )
      }
    />
  )
}

/** Blade after blade on the same plates: how warm they get, and when to let them rest. */
function InARow({ row, system }: { row: Answer<'quench'>; system: System }) {
  const t = (c: number) => formatQuantity(c, 'temperature', system)
  const last = row.blades.at(-1)
  return (
    <Figure
      label={`One every ${PACE.pullEveryMin} min, clamped ${PACE.clampedS} s`}
      value={row.pauseAfter === null ? `all ${row.blades.length}` : String(row.pauseAfter)}
      unit={
        row.pauseAfter === null
          ? `plates begin the last at ${t(last?.plateStartC ?? 20)}`
          : `then rest ${Math.max(1, Math.round(row.recoverS / 60))} min, or take a second set`
      }
      working={row.blades.map((blade, i) =>
        worked('blade-between-plates', blade.leavesC, 'C', {
          blade: i + 1,
          plateC: blade.plateStartC,
        }),
      )}
    />
  )
}
