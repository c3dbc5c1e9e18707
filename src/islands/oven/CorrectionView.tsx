import { halfWidth95 } from '../../core/numeric/coverage'
import { rounded } from '../../core/numeric/round'
import { correctionWorking, driftOf, handAgainstEvidence, observationsOf, offsetLine } from '../../core/oven/correction'
import type { OvenEvidence } from '../../core/oven/evidence'
import { newestSurvey, surveyOf } from '../../core/oven/survey'
import { BOUNDS } from '../../core/shop/bounds'
import { formatDifference, formatQuantity } from '../../core/units/quantity'
import { differenceIn, kelvinFrom } from '../../core/units/temperature'
import { CORRECTION } from '../../data/correction'
import { Figure, Warnings } from '../../ui/Bench'
import { CorrectionChart } from '../../ui/drawings/CorrectionChart'
import { DriftChart } from '../../ui/drawings/DriftChart'
import { ZoneMap } from '../../ui/drawings/ZoneMap'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { useShopNow } from '../shop-context'
import { EvidenceTable } from './EvidenceTable'
import { HardnessPart } from './HardnessPart'
import type { OvenProps } from './oven-props'
import { SensorForm } from './SensorForm'
import { SurveyForm } from './SurveyForm'

const ASKED_C = 1065

/** Shows the correction to key into this oven, from sensor checks, surveys and hardness together. */
export default function CorrectionView({ oven, edit }: OvenProps) {
  const say = useSay()
  const shop = useShopNow()
  const observations = observationsOf(oven.evidence)
  const line = offsetLine(observations)
  const at = line(ASKED_C)
  const difference = (k: number) => formatDifference(k, shop.units)
  const add = (item: OvenEvidence) => edit(o => ({ ...o, evidence: [...o.evidence, item], correctionFrom: 'evidence' }))
  const survey = newestSurvey(oven.evidence)
  const drift = driftOf(oven.evidence, ASKED_C)
  const [first, last] = [drift[0], drift.at(-1)]
  const apart = handAgainstEvidence(oven, ASKED_C)
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0 space-y-4">
        {observations.length > 0 ? (
          <CorrectionChart observations={observations} line={line} system={shop.units} />
        ) : (
          <p className="max-w-2xl border-l-3 border-rule-strong pl-3 text-small">
            Nothing has been measured yet, so the correction set by hand is used. Check with a second thermometer,
            survey the chamber, or use the hardness of past batches. Together they are surest.
          </p>
        )}
        <EvidenceTable oven={oven} edit={edit} />
        <div className="grid gap-6 md:grid-cols-2">
          <SensorForm onAdd={add} />
          <SurveyForm oven={oven} onAdd={add} />
        </div>
        {survey && (
          <section>
            <h2 className="text-large">Zones, by the survey of {survey.at.slice(0, 10)}</h2>
            <p className="mb-2 text-small text-ink-2">
              Set to {formatQuantity(survey.setC, 'temperature', shop.units)}: hottest{' '}
              {difference(surveyOf(survey).hottestK)}, coldest {difference(surveyOf(survey).coldestK)} from it
              {surveyOf(survey).withinK === null
                ? ', beyond the widest class of furnace uniformity.'
                : `, within ± ${say.d(surveyOf(survey).withinK ?? 0)}.`}
            </p>
            <ZoneMap chamber={oven.chamberMm} survey={survey} system={shop.units} />
          </section>
        )}
      </div>
      <section>
        <SelectField
          label="Correction used for what is keyed"
          value={oven.correctionFrom}
          options={[
            ['hand', 'set by hand'],
            ['evidence', 'from measurements'],
          ]}
          onCommit={correctionFrom => edit(o => ({ ...o, correctionFrom }))}
        />
        {oven.correctionFrom === 'hand' && <HandField oven={oven} edit={edit} />}
        {apart !== null && (
          <p className="my-2 border-l-3 border-bad pl-3 text-small">
            With the correction set by hand the blades are{' '}
            {formatDifference(Math.abs(apart), shop.units).replace(/^\+/, '')} {apart > 0 ? 'hotter' : 'cooler'} than
            asked for, by what was measured.{' '}
            <button
              type="button"
              className="link min-h-touch font-semibold"
              onClick={() => edit(o => ({ ...o, correctionFrom: 'evidence' }))}
            >
              Use the measured correction
            </button>
          </p>
        )}
        {observations.length > 0 && (
          <Figure
            label={`Key this for ${formatQuantity(ASKED_C, 'temperature', shop.units)} at the blades`}
            value={formatQuantity(ASKED_C - at.meanK, 'temperature', shop.units).replace(/ .*$/, '')}
            unit={`${shop.units === 'metric' ? '°C' : '°F'} ± ${difference(halfWidth95(at.sdK)).replace(/^\+/, '')}`}
            working={correctionWorking(oven, ASKED_C)}
            note={`Measurements age: a year adds ${say.d(CORRECTION.driftSdKPerYear)} to the uncertainty. Hardness readings correct both this oven and the predicted hardness; use only one of the two for the same cause.`}
          />
        )}
        {first && last && drift.length > 1 && (
          <>
            <Figure
              label={`Drift since ${first.at.slice(0, 10)}, at ${formatQuantity(ASKED_C, 'temperature', shop.units)}`}
              value={difference(last.meanK - first.meanK)}
              unit="blades against the display"
            />
            <DriftChart drift={drift} system={shop.units} />
          </>
        )}
        <Warnings
          lines={
            Math.abs(at.meanK) > CORRECTION.warnK
              ? [
                  {
                    code: 'large',
                    message:
                      'This is more than drift. Check the thermocouple, its leads and where it sits. Leave anything on the mains to a licensed trade.',
                  },
                ]
              : []
          }
        />
        <HardnessPart oven={oven} onAdd={add} />
      </section>
    </div>
  )
}

/** A difference, not a temperature: kept in kelvin, shown in the degrees of the workshop. */
function HandField({ oven, edit }: OvenProps) {
  const shop = useShopNow()
  const [shown, kelvinOf] = [differenceIn(shop.units), kelvinFrom(shop.units)]
  return (
    <div className="mt-3">
      <NumberField
        label="Correction added to the blade temperature"
        unit={shop.units === 'metric' ? '°C' : '°F'}
        value={rounded(shown(oven.correctionC), 1)}
        min={shown(BOUNDS.correctionK.min)}
        max={shown(BOUNDS.correctionK.max)}
        onCommit={typed => edit(o => ({ ...o, correctionC: kelvinOf(typed) }))}
      />
    </div>
  )
}
