import type { Saving } from '../../core/codes/result'
import { worked } from '../../core/codes/working'
import { heatUpMin } from '../../core/oven/chamber'
import { mainsCurrent } from '../../core/oven/mains-current'
import type { Oven } from '../../core/shop/oven'
import { formatQuantity, formatTemperature } from '../../core/units/quantity'
import { saveShop } from '../../store/records'
import { Ask } from '../../ui/Ask'
import { Figure, Warnings } from '../../ui/Bench'
import { FigureOf } from '../../ui/FigureOf'
import { useShopNow } from '../shop-context'
import { useChamber } from '../use-chamber'

/** Current of a usual socket circuit, A. Common practice, no published source; the local code decides. */
const AMPS_USUAL = 16

/** Figures that follow from an oven's data: its climb, its current, its limit. */
export function OvenFigures({ oven, set }: { oven: Oven; set: (part: Partial<Oven>) => Promise<Saving> }) {
  const shop = useShopNow()
  const chamber = useChamber(oven)
  const climbMin = (fromC: number, toC: number) => (chamber ? heatUpMin(chamber, fromC, toC, 0) : null)
  const climb = (fromC: number, toC: number): string => {
    const min = climbMin(fromC, toC)
    if (min === null) return '…'
    return Number.isFinite(min) ? String(Math.round(min)) : 'never'
  }
  const working = (fromC: number, toC: number) => {
    const min = climbMin(fromC, toC)
    if (min === null || !Number.isFinite(min)) return undefined
    return [worked('full-power-climb', min, 'min', { logName: oven.fit?.logName ?? null })]
  }
  const current = mainsCurrent(oven)
  const others = shop.ovens.length > 1
  return (
    <section>
      {oven.use === 'hardening' && (
        <>
          <Figure
            label={`Time from cold to ${formatQuantity(790, 'temperature', shop.units)}, empty`}
            value={climb(20, 790)}
            unit="min"
            working={working(20, 790)}
          />
          <Figure
            label={`Time from there to ${formatQuantity(1065, 'temperature', shop.units)}, empty`}
            value={climb(790, 1065)}
            unit="min"
            working={working(790, 1065)}
          />
        </>
      )}
      <FigureOf of={current} />
      <Warnings
        lines={
          (current.value ?? 0) > AMPS_USUAL
            ? [
                {
                  code: 'amps',
                  message: `More than a usual ${AMPS_USUAL} A circuit gives. Wiring is for a licensed electrician.`,
                },
              ]
            : []
        }
      />
      <p className="mt-2 text-note text-ink-2">
        Hottest it may go: {formatTemperature(oven.maxC, shop.units)}. Mains wiring is for a licensed electrician.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        {oven.use === 'hardening' && shop.hardeningOvenId !== oven.id && (
          <button
            type="button"
            className="btn"
            onClick={() => void saveShop(s => ({ ...s, hardeningOvenId: oven.id }))}
          >
            Use this oven for new batches
          </button>
        )}
        {oven.fit && (
          <button type="button" className="btn" onClick={() => set({ fit: null })}>
            Remove the fit to the log
          </button>
        )}
        {others && shop.hardeningOvenId !== oven.id && (
          <Ask
            title={`Remove ${oven.name} from the workshop?`}
            says={`Its measurements are removed too: ${oven.evidence.length} checks and surveys${oven.fit ? ', and what its log taught' : ''}. Batches planned for it will ask for another oven.`}
            act="Remove this oven"
            onAct={async () => {
              const { saved } = await saveShop(s => ({
                ...s,
                ovens: s.ovens.filter(o => o.id !== oven.id),
                temperingOvenId: s.temperingOvenId === oven.id ? null : s.temperingOvenId,
              }))
              if (saved) location.assign('/workshop')
            }}
          >
            Remove this oven …
          </Ask>
        )}
      </div>
    </section>
  )
}
