import { useState } from 'react'
import { plateSize } from '../../../../core/equipment/plates'
import type { Line } from '../../../../core/shop/blade'
import { BOUNDS } from '../../../../core/shop/bounds'
import type { Workshop } from '../../../../core/shop/workshop'
import { formatQuantity } from '../../../../core/units/quantity'
import { secondsOf } from '../../../../core/units/time'
import { PACE } from '../../../../data/pace'
import { CONTACT, PLATE_METALS, type PlateMetal } from '../../../../data/thermal'
import { saveShop } from '../../../../store/records'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { useSay } from '../../../../ui/Units'
import { problemWords } from '../../../../words/problems'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'

interface Props {
  /** The line whose blade is quenched, and that blade's mark. */
  readonly line: Line
  readonly mark: string
}

const metals = Object.entries(PLATE_METALS).map(([name, { label }]) => [name as PlateMetal, label] as const)

/** Fits the plates to two readings of a thermometer: contact, and cooling. */
export function OwnPlatesView({ line, mark }: Props) {
  const say = useSay()
  const { shown, shop } = useBench()
  const [clamped, setClamped] = useState<{ afterS: number; plateC: number | null }>({ afterS: 15, plateC: null })
  const [cooled, setCooled] = useState<{ afterMin: number; plateC: number | null }>({ afterMin: 10, plateC: null })
  const set = (part: Partial<Workshop['plates']>) => saveShop(s => ({ ...s, plates: { ...s.plates, ...part } }))
  const answer = useAnswer(
    'plate-fit',
    clamped.plateC === null
      ? null
      : {
          blade: { thicknessMm: line.thicknessMm, widthMm: line.widthMm, lengthMm: line.lengthMm },
          fromC: shown.group.route.austenitizeC,
          plates: plateSize(shop),
          startC: shop.plates.startC,
          ambientC: shop.roomC ?? PACE.roomC,
          martensiteStartC: shown.prediction.martensiteStartC,
          clamped: { afterS: clamped.afterS, plateC: clamped.plateC },
          cooled: cooled.plateC === null ? null : { afterS: secondsOf(cooled.afterMin), plateC: cooled.plateC },
        },
  )
  return (
    <div className="max-w-2xl space-y-3">
      <p className="text-small">
        Quench one blade like {mark} with the plates at {formatQuantity(shop.plates.startC, 'temperature', shop.units)}.
        Read a thermometer on the plates early in the clamp, take the blade out, and read it again after they have
        cooled a while. Gauntlets: plates burn long after the glow is gone.
      </p>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <NumberField
          label="First reading after"
          unit="s"
          value={clamped.afterS}
          {...BOUNDS.plateReadAfterS}
          onCommit={afterS => setClamped({ ...clamped, afterS })}
        />
        <QuantityField
          label="Plate temperature at the first reading"
          dimension="temperature"
          value={clamped.plateC ?? shop.plates.startC}
          {...BOUNDS.plateReadC}
          onCommit={plateC => setClamped({ ...clamped, plateC })}
        />
        <QuantityField
          label="Second reading, after the first"
          dimension="duration"
          value={cooled.afterMin}
          {...BOUNDS.plateReadAfterMin}
          onCommit={afterMin => setCooled({ ...cooled, afterMin })}
        />
        <QuantityField
          label="Plate temperature then"
          dimension="temperature"
          value={cooled.plateC ?? shop.plates.startC}
          {...BOUNDS.plateReadC}
          onCommit={plateC => setCooled({ ...cooled, plateC })}
        />
      </div>
      {answer && !answer.ok && (
        <p role="alert" className="text-small text-bad">
          {answer.problems.map(found => problemWords(found, say)).join(' ')}
        </p>
      )}
      {answer?.ok && (
        <div className="border-t border-rule pt-2">
          <p className="text-body">
            Contact <strong>{say.transfer(answer.value.contactWPerM2K)}</strong>, from{' '}
            {say.transfer(answer.value.contactRange[0])} to {say.transfer(answer.value.contactRange[1])} for a
            thermometer accurate to {say.d(2)}
            {answer.value.airWPerM2K === null ? '' : `; to air ${say.transfer(answer.value.airWPerM2K)}`}.
            {answer.value.contactSure ? '' : ' That is too wide to go by: read the first one earlier, at 10 to 15 s.'}
          </p>
          <button
            type="button"
            className="btn btn-ember mt-2"
            disabled={!answer.value.contactSure}
            onClick={() =>
              set({
                fit: {
                  at: new Date().toISOString(),
                  contactWPerM2K: answer.value.contactWPerM2K,
                  airWPerM2K: answer.value.airWPerM2K,
                },
              })
            }
          >
            Use these figures for your plates
          </button>
        </div>
      )}
      <div className="grid grid-cols-2 gap-3 border-t border-rule pt-3 sm:grid-cols-3">
        <SelectField
          label="Plates of"
          value={shop.plates.metal ?? 'aluminium-6061'}
          options={metals}
          onCommit={metal => set({ metal })}
        />
        <p className="self-end text-small sm:col-span-2">
          {shop.plates.fit ? (
            <>
              Worked out with your own plates: {Math.round(shop.plates.fit.contactWPerM2K)} W/m²K, of{' '}
              {shop.plates.fit.at.slice(0, 10)}.{' '}
              <button type="button" className="link min-h-touch" onClick={() => set({ fit: null })}>
                Use the usual value {CONTACT.clampedFoil}
              </button>
            </>
          ) : (
            `Worked out with the usual ${CONTACT.clampedFoil} W/m²K through clamped foil.`
          )}
        </p>
      </div>
    </div>
  )
}
