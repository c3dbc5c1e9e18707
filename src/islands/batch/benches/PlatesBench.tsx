import { lazy, Suspense, useState } from 'react'
import { worked } from '../../../core/codes/working'
import type { ExpectedPulls } from '../../../core/job/batch-figures'
import { contactOf } from '../../../core/job/plates'
import { edgeOf } from '../../../core/job/prepare'
import { quenchable } from '../../../core/job/quench-way'
import { thickestLineOf } from '../../../core/job/tray'
import { seconds800to500Of } from '../../../core/quench/cooling-time'
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
import { useGlow } from '../moment'
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

/** From the soak until it can be held: one packet between the plates, and how many the plates take one after another. */
export function PlatesBench() {
  const say = useSay()
  const { batch, shown, shop, load } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('one')
  const glow = useGlow()
  const { plates } = shop
  const line = thickestLineOf(batch, shown.group.id)
  const queue = load?.blades ?? []
  const request = (contactWPerM2K: number) => (line ? quenchRequestOf(line, shown, shop, contactWPerM2K) : null)
  const usual = useAnswer('quench', request(contactOf(shop)))
  const poor = useAnswer('quench', request(CONTACT.clampedLow))
  const good = useAnswer('quench', request(CONTACT.clampedHigh))
  const edgeMm = line && line.bevels === 'pre-ground' ? edgeOf(line) : null
  const edge = useAnswer('quench', line && edgeMm !== null ? edgeRequestOf(line, edgeMm, shown, shop) : null)
  const edgeFirst = edge?.ok ? edge.value.blades[0] : undefined
  const edgeS = edgeFirst ? seconds800to500Of(edgeFirst) : undefined
  const first = usual?.ok ? usual.value.blades[0] : undefined
  const seconds800to500 = first && seconds800to500Of(first)
  const refused = quenchable(load?.blades ?? [], shop)
  const { prediction } = shown
  if (!line) return <EmptyTray title="Plates" what="how fast the plates take the heat" />
  const mark = queue.find(b => b.line.id === line.id)?.mark ?? line.mark
  const quench = usual?.ok ? usual.value : null
  const range = (mark: string): string => {
    const value = (answer: typeof usual) => (answer?.ok ? (answer.value.blades[0]?.secondsTo[mark] ?? null) : null)
    const shown = (s: number | null) => (s === null ? 'more than 90' : s < 10 ? s.toFixed(1) : Math.round(s).toString())
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
              glow={glow}
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
            label={`Time to ${formatQuantity(500, 'temperature', shop.units)}`}
            term="quench"
            value={at('500')}
            unit={range('500')}
            working={quench?.working}
            note={[
              'The range runs from good to poor contact: how flat the foil lies, and how hard the vice is shut.',
              edgeMm === null || edgeS === undefined ? '' : edgeQuenchWords(edgeMm, edgeS, say),
            ]
              .join(' ')
              .trim()}
          />
          <Figure
            label={`Time until cool enough to hold, ${formatQuantity(60, 'temperature', shop.units)}`}
            value={at('60')}
            unit={range('60')}
            working={quench?.working}
          />
          {load?.pulls && queue.length > 1 && <WholeLoad pulls={load.pulls} />}
          <Figure
            label={`Hardness as quenched, ${shown.group.gradeName}`}
            term="martensite"
            value={hrcText(prediction.hrc.asQuenched.mean)}
            unit={`HRC ${bandText(prediction.hrc.asQuenched.sd)}`}
            working={prediction.working}
          />
          {edgeMm !== null && edgeS !== undefined && edgeS > shown.grade.quench.slowest800to500S && (
            <Warnings
              lines={[
                {
                  code: 'edge-slow',
                  message: edgeSlowWords(edgeMm, edgeS, shown.grade.quench.slowest800to500S, say),
                },
              ]}
            />
          )}
          {usual?.ok && <Warnings lines={usual.value.cautions} />}
          {!refused.ok && <Problems of={refused.problems} className="my-2" />}
          {slow && (
            <Warnings
              lines={[
                {
                  code: 'slow',
                  message: `Cooling from ${say.bare(800)} to ${say.t(500)} takes longer than the ${shown.grade.quench.slowest800to500S} s this grade allows.`,
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
    />
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
