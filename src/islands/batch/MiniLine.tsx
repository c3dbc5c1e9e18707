import type { Batch, Workshop } from '../../core/record/schemas'
import { heatColour } from '../../ui/heatline/colour'
import { heatScale } from '../../ui/heatline/scale'
import { usePlans } from './use-plan'

const BOX = { left: 4, right: 216, top: 6, bottom: 50 }

/** The batch's first plan, small: enough to know it by its shape. */
export function MiniLine({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const plan = usePlans(batch, shop)[0]
  if (!plan) return null
  const scale = heatScale(
    plan.stretches.filter(s => s.endMin > s.startMin),
    BOX,
  )
  return (
    <svg viewBox="0 0 220 56" className="block h-14 w-full bg-soot" aria-hidden="true">
      {scale.placed.flatMap(({ stretch }, index) =>
        stretch.points.slice(1).map(([min, c], i) => {
          const [min0, c0] = stretch.points[i] ?? [min, c]
          return (
            <line
              key={`${index}-${i}`}
              x1={scale.x(index, min0)}
              x2={scale.x(index, min)}
              y1={scale.y(c0)}
              y2={scale.y(c)}
              stroke={heatColour((c0 + c) / 2, stretch.phase)}
              strokeWidth={2}
              strokeLinecap="round"
            />
          )
        }),
      )}
    </svg>
  )
}
