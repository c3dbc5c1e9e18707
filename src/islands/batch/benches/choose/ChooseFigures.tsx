import { temperStage } from '../../../../core/batch/hardness-stages'
import { quenchable } from '../../../../core/equipment/quench-way'
import type { Prediction } from '../../../../core/steel/predict'
import { Figure, Warnings } from '../../../../ui/Bench'
import { FigureOf } from '../../../../ui/FigureOf'
import { PredictedFigure } from '../../../../ui/PredictedFigure'
import { Problems } from '../../../../ui/Problems'
import { counted } from '../../../../words/lists'
import { bandText, hrcText, percentText, signedText } from '../../../../words/speaker'
import { stageName } from '../../../../words/stages'
import { useBench } from '../../bench-context'

/** Figures of the route: predicted hardness, the probability of the target, and corrosion. */
export function ChooseFigures() {
  const { shown, shop, blades } = useBench()
  const { prediction, group } = shown
  const refused = quenchable(
    blades.filter(blade => blade.group.id === group.id),
    shop,
  )
  return (
    <>
      <PredictedFigure
        label="Finished hardness"
        prediction={prediction}
        note="The range holds the result 95 times in 100. It covers the model’s error, the mill’s range of composition, and a small shop’s oven. For martensitic steels of 0.3 to 2.3 % C."
      />
      <ShopLine prediction={prediction} />
      <FigureOf of={shown.chance} />
      <div className="grid grid-cols-2 gap-x-4">
        <Figure
          label="Retained austenite"
          term="retained"
          value={percentText(prediction.retainedAustenite.final)}
          unit=""
          working={prediction.working}
        />
        <Figure
          label="Chromium in solution"
          term="chromium"
          value={prediction.austenite.Cr.toFixed(1)}
          unit={`%${prediction.corrosion.temperPenalty > 0 ? ', lost to carbides' : ''}`}
          working={prediction.working}
        />
      </div>
      <StageReadings prediction={prediction} />
      {!refused.ok && <Problems of={refused.problems} className="my-2" />}
      <Warnings lines={prediction.cautions} />
      {group.sheet && <p className="mt-1 text-note text-ink-2">From your own sheet of {group.gradeName}.</p>}
    </>
  )
}

/** 'Chart, your shop, band': what the shop's own readings changed, or why they did not. */
export function ShopLine({ prediction }: { prediction: Prediction }) {
  const { shop, chartHrc, finalHrc, restsOn } = prediction
  if (!shop) return null
  const by =
    shop.readings > 0 ? `Your ${counted(shop.readings, 'reading')} of this steel` : 'Your readings of other steels'
  return (
    <p className="pb-2 text-note text-ink-2">
      {restsOn.on === 'chart' ? 'The chart alone' : 'The model alone'}: {hrcText(chartHrc.mean)} {bandText(chartHrc.sd)}
      . {by} {Math.abs(shop.shiftHrc) < 0.05 ? 'leave it there' : `change it by ${signedText(shop.shiftHrc)} HRC`}: now{' '}
      {hrcText(finalHrc.mean)} {bandText(finalHrc.sd)}.
    </p>
  )
}

/** Shows the expected readings at each stage, so that a surprise is seen early. */
function StageReadings({ prediction }: { prediction: Prediction }) {
  const { asQuenched, afterCold, afterTempers } = prediction.hrc
  const rows = [
    ['as-quenched', asQuenched] as const,
    ...(afterCold ? [['after-cold', afterCold] as const] : []),
    ...afterTempers.map((hrc, i) => [temperStage(i + 1), hrc] as const),
  ]
  return (
    <table className="sheet border-t border-rule">
      <caption className="pt-2 text-left text-note text-ink-2">Expected hardness at each stage, HRC</caption>
      <tbody>
        {rows.map(([stage, hrc]) => (
          <tr key={stage}>
            <td className="!py-0.5">{stageName(stage)}</td>
            <td className="!py-0.5 text-right font-semibold">{hrcText(hrc.mean)}</td>
            <td className="!py-0.5 !pr-0 text-right text-ink-2">{bandText(hrc.sd)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
