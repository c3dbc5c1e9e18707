import { standing } from '../../../../core/batch/blade-state'
import { bathLevel, boxLayout, goesOf } from '../../../../core/cold/box'
import { coldWay } from '../../../../core/cold/way'
import { BATHS, USUAL_BOX_MM } from '../../../../data/cold'
import { BoxDrawing } from '../../../../ui/drawings/BoxDrawing'
import { counted, marksOf } from '../../../../words/lists'
import { percentText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'
import { useGlow } from '../../use-glow'

const SAYS = { freezer: 'freezer', 'dry-ice': 'dry ice', 'liquid-nitrogen': 'liquid nitrogen' } as const

/** The box with its blades to scale: who stands in it, and whether the bath covers them. */
export function BoxView({ toC }: { toC: number }) {
  const { shop, blades } = useBench()
  const glow = useGlow()
  const { boxMm, bath } = shop.cold
  const box = boxMm ?? USUAL_BOX_MM
  const each = standing(blades)
    .filter(b => b.group.route.cold)
    .map(({ mark, line }) => ({ ...line, mark }))
  const layout = boxLayout(box, each)
  const way = coldWay(toC)
  const bathed = way === 'dry-ice' && bath.fluid !== 'none'
  const level = bathed ? bathLevel(box, each, layout, bath.litres) : null
  const { fits, layers, perLayer, tooLong } = layout
  const lines = [
    tooLong.length > 0
      ? { bad: true, text: `${marksOf(tooLong.flatMap(i => each[i]?.mark ?? []))}: longer than the box.` }
      : fits < each.length
        ? {
            bad: true,
            text: `It holds ${fits} of the ${each.length} at once: chill them in ${counted(goesOf(each.length, fits), 'go', 'goes')}.`,
          }
        : {
            bad: false,
            text: `All ${each.length} stand on edge, of up to ${fits}: ${layers} ${layers === 1 ? 'layer' : 'layers'} of ${perLayer}.`,
          },
    ...(level && level.covered < 0.995
      ? [
          {
            bad: true,
            text: `The bath covers ${percentText(level.covered)} of them: ${level.litresToCover.toFixed(1)} L would cover all.`,
          },
        ]
      : []),
    ...(level && level.levelMm > box.depth ? [{ bad: true, text: 'The bath runs over.' }] : []),
    ...(boxMm ? [] : [{ bad: false, text: 'Enter the inside size of the box in the Workshop first.' }]),
  ]
  return (
    <>
      <BoxDrawing
        box={box}
        blades={each}
        places={layout.places}
        glow={glow}
        levelMm={level?.levelMm ?? null}
        says={`${SAYS[way]}${bathed ? ` in ${BATHS[bath.fluid].label}` : ''}`}
      />
      <p className="mt-1 text-small">
        {lines.map(line => (
          <span key={line.text} className={line.bad ? 'font-semibold text-bad' : 'text-ink-2'}>
            {line.text}{' '}
          </span>
        ))}
      </p>
    </>
  )
}
