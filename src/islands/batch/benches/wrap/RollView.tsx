import type { Placement } from '../../../../core/foil/cut-plan'
import { RULE_STEP_MM } from '../../../../core/foil/grid'
import { BOUNDS } from '../../../../core/shop/bounds'
import { countedRoll, leftOnRollMm } from '../../../../core/shop/foil-roll'
import { editBatch } from '../../../../store/batches'
import { saveShop } from '../../../../store/records'
import { Warnings } from '../../../../ui/Bench'
import { RollBoard } from '../../../../ui/foil/RollBoard'
import { Problems } from '../../../../ui/Problems'
import { QuantityField } from '../../../../ui/QuantityField'
import { Wide } from '../../../../ui/Wide'
import { useBench } from '../../bench-context'
import { FoilStock } from './FoilStock'
import type { WrapProps } from './wrap-props'

/** The sheets on the roll, and where each goes; moved by hand where the maker knows better. */
export function RollView({ wrap, mm }: WrapProps) {
  const { batch, shop } = useBench()
  const { answer, laid } = wrap
  if (!answer) return <p className="py-10 text-ink-2">Planning the cuts …</p>
  if (!answer.ok) return <Problems of={answer.problems} className="my-2" />
  if (!laid) return null
  const move = (index: number, place: Placement) =>
    void editBatch(batch, 'Sheet on the roll', b => ({
      ...b,
      foilLayout: {
        sheets: laid.sheets,
        places: laid.layout
          .map((p, i) => (i === index ? place : p))
          .map(({ piece, xMm, yMm, rotated }) => ({ piece, xMm, yMm, rotated })),
      },
    }))
  const { overlaps, outside, cuts } = laid.check
  const troubles = [
    ...(overlaps.length > 0
      ? [
          {
            code: 'overlap',
            message: `${overlaps.map(([a, b]) => `${laid.marks[a]} and ${laid.marks[b]}`).join(', ')} overlap.`,
          },
        ]
      : []),
    ...(outside.length > 0
      ? [
          {
            code: 'outside',
            message: `${outside.map(i => laid.marks[i]).join(', ')} reaches past the edge of the roll.`,
          },
        ]
      : []),
    ...(overlaps.length === 0 && outside.length === 0 && cuts === null
      ? [
          {
            code: 'no-shear',
            message: 'No straight cut separates these sheets. Line two of them up.',
          },
        ]
      : []),
  ]
  return (
    <>
      <Wide leastPx={720} label="Cut plan">
        <RollBoard
          rollWidthMm={shop.foil.rollWidthMm}
          usedLengthMm={laid.check.usedLengthMm}
          layout={laid.layout}
          marks={laid.marks}
          overlaps={overlaps}
          outside={outside}
          cuts={cuts}
          lengthText={mm}
          mayTurn={shop.foil.rotate}
          stepMm={RULE_STEP_MM[shop.units]}
          onMove={move}
        />
      </Wide>
      <Warnings lines={troubles} />
      <div className="mt-1 flex flex-wrap items-center gap-x-6 gap-y-1 text-small">
        <p>
          {answer.value.pieces.map((piece, i) => (
            <span key={i} className="mr-4 inline-block">
              <strong>{wrap.lines[i]?.mark}</strong> {piece.count} of {mm(piece.lengthMm)} × {mm(piece.widthMm)}
            </span>
          ))}
        </p>
        {laid.byHand && (
          <button
            type="button"
            className="link min-h-touch"
            onClick={() => void editBatch(batch, 'Computed plan', b => ({ ...b, foilLayout: null }))}
          >
            Back to the computed plan ({mm(answer.value.usedLengthMm)})
          </button>
        )}
      </div>
    </>
  )
}

export function RollFields(props: WrapProps) {
  const { shop } = useBench()
  return (
    <div className="grid gap-x-8 gap-y-3 sm:grid-cols-[330px_minmax(0,1fr)]">
      <div className="grid grid-cols-3 gap-3">
        <QuantityField
          label="Roll width"
          dimension="length"
          value={shop.foil.rollWidthMm}
          {...BOUNDS.rollWidthMm}
          onCommit={rollWidthMm => saveShop(s => ({ ...s, foil: { ...s.foil, rollWidthMm } }))}
        />
        <QuantityField
          label="Longest section"
          dimension="length"
          value={shop.foil.longestSectionMm ?? 2000}
          {...BOUNDS.longestSectionMm}
          onCommit={longestSectionMm => saveShop(s => ({ ...s, foil: { ...s.foil, longestSectionMm } }))}
        />
        <QuantityField
          label="Left on the roll"
          dimension="length"
          value={leftOnRollMm(shop.foil) ?? 0}
          {...BOUNDS.foilLeftMm}
          onCommit={leftMm => saveShop(s => ({ ...s, foil: countedRoll(s.foil, leftMm) }))}
        />
      </div>
      <FoilStock {...props} />
    </div>
  )
}
