import { worked } from '../../../../core/codes/working'
import { foilCostPerBlade } from '../../../../core/cost/protection-cost'
import { leftOnRollMm } from '../../../../core/shop/foil-roll'
import { formatTemperature } from '../../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../../data/cautions'
import { FOIL_MARGIN_C } from '../../../../data/foil'
import { CautionNote, Figure, Warnings } from '../../../../ui/Bench'
import { FigureOf } from '../../../../ui/FigureOf'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { shortRollWords } from '../../../../words/cuts'
import { percentText } from '../../../../words/speaker'
import { CurrencyField } from '../../../CurrencyField'
import { InventedPrices } from '../../../InventedPrices'
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
          label={`Foil type for ${formatTemperature(hottestC, shop.units)}`}
          value={foil.value.name}
          unit={`up to ${formatTemperature(foil.value.maxC, shop.units)}`}
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
  const { batch, shop } = useBench()
  const say = useSay()
  const { answer, laid } = wrap
  if (!answer?.ok || !laid) return null
  const plan = answer.value
  const used = laid.check.usedLengthMm
  const proof = laid.byHand
    ? `laid by hand; the computed layout needs ${mm(plan.usedLengthMm)}`
    : plan.proven
      ? 'no shorter layout exists'
      : `at most ${percentText(laid.overBoundShare, 1)} longer than the shortest possible`
  const short = shortRollWords(used, leftOnRollMm(shop.foil), say)
  return (
    <>
      <Figure
        label="Foil needed from the roll"
        value={mm(used).split(' ').slice(0, -1).join(' ')}
        unit={`${shop.units === 'metric' ? 'mm' : 'in'}, ${proof}`}
        working={[
          worked('foil-bound', plan.lowerBoundMm, 'mm', { proven: plan.proven }),
          worked('foil-over-bound', laid.overBoundShare, 'share', {}),
          worked('foil-left-over', laid.wasteShare, 'share', {}),
        ]}
      />
      {wrap.length && (
        <FigureOf
          of={foilCostPerBlade(batch, shop, wrap.length)}
          says={`at ${say.perLength(shop.foil.pricePerM)}, ${percentText(laid.wasteShare)} of it waste`}
        />
      )}
      <InventedPrices />
      {shop.currency === undefined && <CurrencyField />}
      {short && !batch.foilCutAt && <Warnings lines={[{ code: 'short-roll', message: short }]} />}
    </>
  )
}
