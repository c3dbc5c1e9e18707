import { lazy, Suspense } from 'react'
import { thickestLineOf } from '../../../core/batch/tray'
import { contactOf } from '../../../core/equipment/plates'
import { MEDIUM, quenchWayOf } from '../../../core/equipment/quench-way'
import { seconds800to500Of } from '../../../core/quench/cooling-time'
import { DEFER, OIL_CAUTION } from '../../../data/cautions'
import { PACE } from '../../../data/pace'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { Problems } from '../../../ui/Problems'
import { useSay } from '../../../ui/Units'
import { bandText, hrcText, secondsText } from '../../../words/speaker'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { EmptyTray } from './EmptyTray'
import { quenchRequestOf } from './plates/plates-request'

const QuenchChart = lazy(() => import('../../../ui/charts/QuenchChart'))

/** From soak into oil, bare: how fast the thickest blade passes its nose, and what hardness that leaves. */
export function OilBench() {
  const say = useSay()
  const { batch, shown, shop, load } = useBench()
  const { grade, prediction } = shown
  const line = thickestLineOf(batch, shown.group.id)
  const way = quenchWayOf(grade, shop) ?? 'medium-oil'
  const answer = useAnswer(
    'quench',
    line ? { ...quenchRequestOf(line, shown, shop, contactOf(shop)), medium: MEDIUM[way], foilMm: 0 } : null,
  )
  if (!line) return <EmptyTray title="Oil" what="how fast the oil takes the heat" />
  const quench = answer?.ok ? answer.value : null
  const first = quench?.blades[0]
  const seconds = first && seconds800to500Of(first)
  const allowed = grade.quench.slowest800to500S
  const mark = load?.blades.find(blade => blade.line.id === line.id)?.mark ?? line.mark
  return (
    <Bench
      title="Oil"
      says={`The thickest of this steel, ${mark}, ${say.length(line.thicknessMm)}, bare into ${way === 'fast-oil' ? 'a fast oil' : 'a medium oil'}: no foil.`}
      drawing={
        <div className="h-[300px]">
          <Suspense fallback={null}>
            {quench && (
              <QuenchChart curve={quench.curve} martensiteStartC={prediction.martensiteStartC} system={shop.units} />
            )}
          </Suspense>
        </div>
      }
      figures={
        <>
          {answer && !answer.ok && <Problems of={answer.problems} className="my-2" />}
          <Figure
            label={`Time from ${say.bare(800)} to ${say.t(500)}`}
            value={seconds === undefined ? '…' : secondsText(seconds)}
            unit={`s; this steel allows ${secondsText(allowed)}`}
            working={quench?.working}
            note="The oil is taken to be warm, about 60 °C, and the blade to be moved in it."
          />
          <Figure
            label={`Hardness as quenched, ${shown.group.gradeName}`}
            term="martensite"
            value={hrcText(prediction.hrc.asQuenched.mean)}
            unit={`HRC ${bandText(prediction.hrc.asQuenched.sd)}`}
            working={prediction.working}
          />
          <Warnings lines={prediction.cautions.filter(caution => caution.code === 'slow-quench')} />
          <p className="my-2 text-small">
            From the oven into the oil without a pause, the whole blade at once, moved up and down for about {PACE.oilS}{' '}
            s. Then onto the rack, and into the temper as soon as it can be held.
          </p>
          <CautionNote>
            {OIL_CAUTION} {DEFER}
          </CautionNote>
        </>
      }
    />
  )
}
