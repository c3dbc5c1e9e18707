import { lazy, Suspense, useState } from 'react'
import { edgeOf } from '../../../core/batch/prepare'
import { thickestLineOf } from '../../../core/batch/tray'
import type { ExpectedPulls } from '../../../core/bench/batch-figures'
import { worked } from '../../../core/codes/working'
import { contactOf } from '../../../core/equipment/plates'
import { quenchable } from '../../../core/equipment/quench-way'
import { seconds800to500Of } from '../../../core/quench/cooling-time'
import type { Line } from '../../../core/shop/blade'
import { BOUNDS } from '../../../core/shop/bounds'
import type { Workshop } from '../../../core/shop/workshop'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { CONTACT } from '../../../data/thermal'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { PlatesDrawing } from '../../../ui/drawings/PlatesDrawing'
import { SelectField } from '../../../ui/PlainFields'
import { Problems } from '../../../ui/Problems'
import { QuantityField } from '../../../ui/QuantityField'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { clockText } from '../../../words/clock-text'
import { bandText, hrcText } from '../../../words/speaker'
import { edgeQuenchWords, edgeSlowWords } from '../../../words/thin-edge'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { useGlow } from '../use-glow'
import { EmptyTray } from './EmptyTray'
import { OwnPlatesView } from './plates/OwnPlatesView'
import { PullListView } from './plates/PullListView'
import { edgeRequestOf, quenchRequestOf } from './plates/plates-request'
import { WaysView } from './plates/WaysView'

const QuenchChart = lazy(() => import('../../../ui/charts/QuenchChart'))

const AIR_WORDS: Readonly<Record<Workshop['plates']['air'], string>> = {
  still: 'still air',
  fan: 'a fan',
  'air-blast': 'compressed air',
}
const VIEWS = [
  ['one', 'One packet'],
  ['pull', 'Pull list'],
  ['ways', 'Ways compared'],
  ['own', 'Your plates'],
] as const
type View = (typeof VIEWS)[number][0]

/** From the soak until it can be held: one packet between the plates, and how many the plates take one after another. */
export function PlatesBench() {
  const { batch, shown, shop, load } = useBench()
  const [view, setView] = useState<View>('one')
  const line = thickestLineOf(batch, shown.group.id)
  if (!line) return <EmptyTray title="Plates" what="how fast the plates take the heat" />
  const mark = load?.blades.find(b => b.line.id === line.id)?.mark ?? line.mark
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
          <OnePacket line={line} mark={mark} />
        )
      }
      figures={<PlatesFigures line={line} />}
      fields={view === 'one' && <PlatesFields />}
    />
  )
}

/** How one packet of the thickest blade cools, at a contact between plates and foil. */
function useQuench(line: Line, contactWPerM2K: number) {
  const { shown, shop } = useBench()
  return useAnswer('quench', quenchRequestOf(line, shown, shop, contactWPerM2K))
}

function OnePacket({ line, mark }: { readonly line: Line; readonly mark: string }) {
  const { shown, shop, load } = useBench()
  const glow = useGlow()
  const usual = useQuench(line, contactOf(shop))
  return (
    <>
      <PlatesDrawing
        plates={shop.plates}
        blade={line}
        mark={mark}
        waiting={(load?.blades ?? []).map(b => b.mark)}
        system={shop.units}
        glow={glow}
      />
      <div className="mt-3 h-[170px]">
        <Suspense fallback={null}>
          {usual?.ok && (
            <QuenchChart
              curve={usual.value.curve}
              martensiteStartC={shown.prediction.martensiteStartC}
              system={shop.units}
            />
          )}
        </Suspense>
      </div>
    </>
  )
}

/** Seconds as they are read off a clock: tenths under ten. */
const secondsText = (s: number): string => (s < 10 ? s.toFixed(1) : String(Math.round(s)))

type QuenchAnswer = ReturnType<typeof useQuench>
const secondsTo = (answer: QuenchAnswer, mark: string): number | null =>
  (answer?.ok ? answer.value.blades[0]?.secondsTo[mark] : null) ?? null

function PlatesFigures({ line }: { readonly line: Line }) {
  const say = useSay()
  const { shown, shop, load } = useBench()
  const usual = useQuench(line, contactOf(shop))
  const poor = useQuench(line, CONTACT.clampedLow)
  const good = useQuench(line, CONTACT.clampedHigh)
  const edge = useEdgeQuench(line)
  const working = usual?.ok ? usual.value.working : undefined
  const slowestS = shown.grade.quench.slowest800to500S
  const first = usual?.ok ? usual.value.blades[0] : undefined
  const slow = ((first && seconds800to500Of(first)) ?? 0) > slowestS
  const refused = quenchable(load?.blades ?? [], shop)
  const { prediction } = shown
  const at = (mark: string) => {
    const s = secondsTo(usual, mark)
    return s === null ? '—' : secondsText(s)
  }
  const range = (mark: string): string => {
    const [from, to] = [good, poor].map(answer => secondsTo(answer, mark))
    const text = (s: number | null | undefined) => (typeof s === 'number' ? secondsText(s) : 'more than 90')
    return `s, ${text(from)} to ${text(to)}`
  }
  return (
    <>
      <Figure
        label={`Time to ${formatQuantity(500, 'temperature', shop.units)}`}
        term="quench"
        value={at('500')}
        unit={range('500')}
        working={working}
        note={[
          'The range runs from good to poor contact: how flat the foil lies, and how hard the vice is shut.',
          edge ? edgeQuenchWords(edge.thicknessMm, edge.seconds, say) : '',
        ]
          .join(' ')
          .trim()}
      />
      <Figure
        label={`Time until cool enough to hold, ${formatQuantity(60, 'temperature', shop.units)}`}
        value={at('60')}
        unit={range('60')}
        working={working}
      />
      {load?.pulls && load.blades.length > 1 && <WholeLoad pulls={load.pulls} />}
      <Figure
        label={`Hardness as quenched, ${shown.group.gradeName}`}
        term="martensite"
        value={hrcText(prediction.hrc.asQuenched.mean)}
        unit={`HRC ${bandText(prediction.hrc.asQuenched.sd)}`}
        working={prediction.working}
      />
      {edge && edge.seconds > slowestS && (
        <Warnings
          lines={[{ code: 'edge-slow', message: edgeSlowWords(edge.thicknessMm, edge.seconds, slowestS, say) }]}
        />
      )}
      {usual?.ok && <Warnings lines={usual.value.cautions} />}
      {!refused.ok && <Problems of={refused.problems} className="my-2" />}
      {slow && (
        <Warnings
          lines={[
            {
              code: 'slow',
              message: `Cooling from ${say.bare(800)} to ${say.t(500)} takes longer than the ${slowestS} s this grade allows.`,
            },
          ]}
        />
      )}
      <CautionNote>
        {CAUTIONS.plates} {DEFER}
      </CautionNote>
    </>
  )
}

/** How thick the edge of a blade ground before hardening is, and how fast it cools; null for others and until it is worked out. */
function useEdgeQuench(line: Line): { readonly thicknessMm: number; readonly seconds: number } | null {
  const { shown, shop } = useBench()
  const thicknessMm = line.bevels === 'pre-ground' ? edgeOf(line) : null
  const answer = useAnswer('quench', thicknessMm !== null ? edgeRequestOf(line, thicknessMm, shown, shop) : null)
  const blade = answer?.ok ? answer.value.blades[0] : undefined
  const seconds = blade && seconds800to500Of(blade)
  return thicknessMm === null || seconds === undefined ? null : { thicknessMm, seconds }
}

function PlatesFields() {
  const { plates } = useBench().shop
  const set = (part: Partial<Workshop['plates']>) => saveShop(s => ({ ...s, plates: { ...s.plates, ...part } }))
  return (
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
        label="Plate start temperature"
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

/** The plates through the whole load, by its pull list: how warm they get, and how long it takes. */
function WholeLoad({ pulls: { pulls, totalS, restS } }: { pulls: ExpectedPulls }) {
  const { t, bare } = useSay()
  const last = pulls.at(-1)
  return (
    <Figure
      label="Plate temperature when the last blade goes in"
      value={bare(last?.plateStartC ?? 0)}
      unit={t(0).replace(/^[^ ]+ /, '')}
      working={pulls.map((pull, i) =>
        worked('blade-between-plates', pull.leavesC, 'C', { blade: i + 1, plateC: pull.plateStartC }),
      )}
      note={`${pulls.length} blades, ${clockText(totalS)} min from the first pull${restS > 0 ? `, of which the plates rest ${clockText(restS)} min` : ''}. The pull list has each.`}
    />
  )
}
