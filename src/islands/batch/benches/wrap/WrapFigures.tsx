import { countOf } from '../../../../core/plan/tray'
import { formatBoth } from '../../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../../data/cautions'
import { FOIL_MARGIN_C } from '../../../../data/foil'
import { CautionNote, Figure, Warnings } from '../../../../ui/Bench'
import type { WrapProps } from './wrap-props'

const ARGON = 'Argon drives out the air you breathe, low down first: a door open, never in a pit or a closed room.'

/** Foil type, what comes off the roll and how near that is to the least, and what it costs a blade. */
export function WrapFigures({ batch, shop, wrap, mm }: WrapProps) {
  const { answer, laid, foil, hottestC } = wrap
  return (
    <>
      {foil.ok ? (
        <Figure
          label={`Foil for ${formatBoth(hottestC, shop.units)}`}
          value={foil.value.name}
          unit={`stands ${formatBoth(foil.value.maxC, shop.units)}`}
          working={[
            {
              name: 'Hottest step',
              value: hottestC,
              unit: '°C',
              equation: `hottest + correction + ${FOIL_MARGIN_C} ≤ limit`,
              source: 'limits: common practice, no published source',
            },
          ]}
        />
      ) : (
        <Warnings lines={foil.problems} />
      )}
      {answer?.ok && laid && <RollFigures {...{ batch, shop, wrap, mm }} />}
      <CautionNote>
        {CAUTIONS.wrap} {batch.protection?.startsWith('argon') && ARGON} {DEFER}
      </CautionNote>
    </>
  )
}

function RollFigures({ batch, shop, wrap, mm }: WrapProps) {
  const { answer, laid } = wrap
  if (!answer?.ok || !laid) return null
  const plan = answer.value
  const used = laid.check.usedLengthMm
  const area = laid.layout.reduce((sum, p) => sum + p.acrossMm * p.alongMm, 0)
  const waste = used > 0 ? 1 - area / (used * shop.foil.rollWidthMm) : 0
  const gap = plan.lowerBoundMm > 0 ? used / plan.lowerBoundMm - 1 : 0
  const proof = laid.byHand
    ? `laid by hand; computed ${mm(plan.usedLengthMm)}`
    : plan.proven
      ? 'proven the least'
      : `at most ${(100 * gap).toFixed(1)} % over the least`
  const { leftMm } = shop.foil
  return (
    <>
      <Figure
        label="Foil off the roll"
        value={mm(used).split(' ').slice(0, -1).join(' ')}
        unit={`${shop.units === 'metric' ? 'mm' : 'in'}, ${proof}`}
        working={[
          {
            name: 'No plan can use less than',
            value: plan.lowerBoundMm,
            unit: 'mm',
            equation: plan.proven
              ? 'every guillotine pattern tried, or the bound met'
              : 'bar relaxation, rounded up to a sum of sides',
            source: 'docs/method.md, Foil',
          },
          {
            name: 'This plan is above that by',
            value: Math.round(gap * 1000) / 10,
            unit: '%',
            equation: 'used / bound − 1',
            source: 'guillotine strip packing',
          },
          {
            name: 'Left over inside the used length',
            value: Math.round(waste * 100),
            unit: '%',
            equation: '1 − sheets / (length · width)',
            source: 'geometry',
          },
        ]}
      />
      <Figure
        label="Cost of foil, a blade"
        value={(((used / 1000) * shop.foil.pricePerM) / Math.max(1, countOf(batch.blades))).toFixed(2)}
        unit={`at ${shop.foil.pricePerM} a metre, ${Math.round(waste * 100)} % left over`}
        working={[
          {
            name: 'Used length',
            value: used / 1000,
            unit: 'm',
            equation: 'length · price / blades',
            source: 'price as set in the Workshop',
          },
        ]}
      />
      {leftMm !== undefined && leftMm > 0 && leftMm < used && (
        <Warnings
          lines={[{ code: 'short-roll', message: `Only ${mm(leftMm)} are left on the roll; this takes ${mm(used)}.` }]}
        />
      )}
    </>
  )
}
