import { worked } from '../../../../core/codes/working'
import { formatBoth } from '../../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../../data/cautions'
import { FOIL_MARGIN_C } from '../../../../data/foil'
import { CautionNote, Figure, Warnings } from '../../../../ui/Bench'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { shortRollWords } from '../../../../words/cuts'
import { CurrencyField } from '../../../CurrencyField'
import { useBench } from '../../bench-context'
import type { WrapProps } from './wrap-props'

const ARGON =
  'Argon replaces the air you breathe, near the floor first. Keep a door open; never use it in a pit or a closed room.'

/** Foil type, what comes off the roll and how near that is to the least, and what it costs a blade. */
export function WrapFigures({ wrap, mm }: WrapProps) {
  const { batch, shop } = useBench()
  const { answer, laid, foil, hottestC } = wrap
  return (
    <>
      {foil.ok ? (
        <Figure
          label={`Foil type for ${formatBoth(hottestC, shop.units)}`}
          value={foil.value.name}
          unit={`up to ${formatBoth(foil.value.maxC, shop.units)}`}
          working={[worked('hottest-step', hottestC, 'C', { marginK: FOIL_MARGIN_C })]}
        />
      ) : (
        <Problems of={foil.problems} className="my-2" />
      )}
      {answer?.ok && laid && <RollFigures {...{ wrap, mm }} />}
      <CautionNote>
        {CAUTIONS.wrap} {batch.protection?.startsWith('argon') && ARGON} {DEFER}
      </CautionNote>
    </>
  )
}

function RollFigures({ wrap, mm }: WrapProps) {
  const { batch, shop, blades } = useBench()
  const say = useSay()
  const { answer, laid } = wrap
  if (!answer?.ok || !laid) return null
  const plan = answer.value
  const used = laid.check.usedLengthMm
  const area = laid.layout.reduce((sum, p) => sum + p.acrossMm * p.alongMm, 0)
  const waste = used > 0 ? 1 - area / (used * shop.foil.rollWidthMm) : 0
  const gap = plan.lowerBoundMm > 0 ? used / plan.lowerBoundMm - 1 : 0
  const proof = laid.byHand
    ? `laid by hand; the computed layout needs ${mm(plan.usedLengthMm)}`
    : plan.proven
      ? 'no shorter layout exists'
      : `at most ${(100 * gap).toFixed(1)} % longer than the shortest possible`
  const short = shortRollWords(used, shop.foil.leftMm, say)
  return (
    <>
      <Figure
        label="Foil needed from the roll"
        value={mm(used).split(' ').slice(0, -1).join(' ')}
        unit={`${shop.units === 'metric' ? 'mm' : 'in'}, ${proof}`}
        working={[
          worked('foil-bound', plan.lowerBoundMm, 'mm', { proven: plan.proven }),
          worked('foil-over-bound', Math.round(gap * 1000) / 10, '%', {}),
          worked('foil-left-over', waste, 'share', {}),
        ]}
      />
      <Figure
        label="Cost of foil per blade"
        value={say.money(((used / 1000) * shop.foil.pricePerM) / Math.max(1, blades.length))}
        unit={`at ${say.perLength(shop.foil.pricePerM)}, ${Math.round(waste * 100)} % of it waste`}
        working={[worked('foil-used', used / 1000, 'm', {})]}
      />
      {shop.currency === undefined && <CurrencyField />}
      {short && !batch.foilCutAt && <Warnings lines={[{ code: 'short-roll', message: short }]} />}
    </>
  )
}
