import { useMemo } from 'react'
import { correctionWorking, driftOf, observationsOf, offsetLine } from '../../core/oven/correction'
import { newestSurvey, surveyOf } from '../../core/oven/survey'
import type { Oven, OvenEvidence } from '../../core/record/oven-schema'
import type { Workshop } from '../../core/record/schemas'
import { formatDifference, formatQuantity } from '../../core/units/quantity'
import { CORRECTION } from '../../data/correction'
import { useBatches, useReadings } from '../../store/hooks'
import { Figure, Warnings } from '../../ui/Bench'
import { CorrectionChart } from '../../ui/drawings/CorrectionChart'
import { ZoneMap } from '../../ui/drawings/ZoneMap'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { useAnswer } from '../../workers/use-answer'
import { newId } from '../batch/edit'
import type { OvenProps } from './oven-props'
import { SensorForm } from './SensorForm'
import { SurveyForm } from './SurveyForm'

const ASKED_C = 1065

/** What must be keyed into this oven, from sensor checks, surveys and hardness together. */
export function CorrectionView({ oven, shop, edit }: OvenProps) {
  const observations = observationsOf(oven.evidence)
  const line = offsetLine(observations)
  const at = line(ASKED_C)
  const difference = (k: number) => formatDifference(k, shop.units)
  const add = (item: OvenEvidence) => edit(o => ({ ...o, evidence: [...o.evidence, item], correctionFrom: 'evidence' }))
  const survey = newestSurvey(oven.evidence)
  const drift = driftOf(oven.evidence, ASKED_C)
  const [first, last] = [drift[0], drift.at(-1)]
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0 space-y-4">
        {observations.length > 0 ? (
          <CorrectionChart observations={observations} line={line} system={shop.units} />
        ) : (
          <p className="max-w-2xl border-l-3 border-rule-strong pl-3 text-[13.5px]">
            Nothing has been measured yet, so what is keyed is what was set by hand. A second thermometer beside the
            oven’s own, a few readings over the chamber, or the hardness of past batches each say something; together
            they say more.
          </p>
        )}
        <EvidenceTable oven={oven} shop={shop} edit={edit} />
        <div className="grid gap-6 md:grid-cols-2">
          <SensorForm shop={shop} onAdd={add} />
          <SurveyForm oven={oven} shop={shop} onAdd={add} />
        </div>
        {survey && (
          <section>
            <h2 className="text-[17px]">Zones, by the survey of {survey.at.slice(0, 10)}</h2>
            <p className="mb-2 text-[13px] text-ink-2">
              Set to {formatQuantity(survey.setC, 'temperature', shop.units)}: hottest{' '}
              {difference(surveyOf(survey).hottestK)}, coldest {difference(surveyOf(survey).coldestK)} from it
              {surveyOf(survey).withinK === null
                ? ', beyond the widest class of furnace uniformity.'
                : `, within ± ${surveyOf(survey).withinK} K.`}
            </p>
            <ZoneMap chamber={oven.chamberMm} survey={survey} system={shop.units} />
          </section>
        )}
      </div>
      <section>
        <SelectField
          label="What is keyed is corrected"
          value={oven.correctionFrom}
          options={[
            ['hand', 'by hand'],
            ['evidence', 'by what was measured'],
          ]}
          onCommit={correctionFrom => edit(o => ({ ...o, correctionFrom }))}
        />
        {oven.correctionFrom === 'hand' && <HandField oven={oven} shop={shop} edit={edit} />}
        {observations.length > 0 && (
          <Figure
            label={`To see ${formatQuantity(ASKED_C, 'temperature', shop.units)}, key`}
            value={formatQuantity(ASKED_C - at.meanK, 'temperature', shop.units).replace(/ .*$/, '')}
            unit={`${shop.units === 'metric' ? '°C' : '°F'} ± ${difference(1.96 * at.sdK).replace(/^\+/, '')}`}
            working={correctionWorking(oven, ASKED_C)}
            note={`Evidence ages: a year adds ${CORRECTION.driftSdKPerYear} K to its uncertainty. What the readings teach the hardness prediction and this correction both come from hardness: use one of them for the same cause.`}
          />
        )}
        {first && last && drift.length > 1 && (
          <Figure
            label={`Drift since ${first.at.slice(0, 10)}, at ${formatQuantity(ASKED_C, 'temperature', shop.units)}`}
            value={difference(last.meanK - first.meanK)}
            unit="of the blades against the display"
          />
        )}
        <Warnings
          lines={
            Math.abs(at.meanK) > CORRECTION.mostK / 2
              ? [
                  {
                    code: 'large',
                    message:
                      'So much is not drift: look at the thermocouple, its leads and where it sits. A licensed trade for anything on the mains.',
                  },
                ]
              : []
          }
        />
        <HardnessPart oven={oven} shop={shop} onAdd={add} />
      </section>
    </div>
  )
}

/** A difference, not a temperature: kept in kelvin, shown in the degrees of the workshop. */
function HandField({ oven, shop, edit }: OvenProps) {
  const [perK, unit] = shop.units === 'metric' ? [1, '°C'] : [1.8, '°F']
  return (
    <div className="mt-3">
      <NumberField
        label="Added to what the blade should see"
        unit={unit}
        value={Math.round(oven.correctionC * perK * 10) / 10}
        min={-60 * perK}
        max={60 * perK}
        onCommit={shown => edit(o => ({ ...o, correctionC: shown / perK }))}
      />
    </div>
  )
}

const KIND_WORDS = { sensor: 'sensor check', survey: 'survey', hardness: 'hardness' } as const

function EvidenceTable({ oven, shop, edit }: OvenProps) {
  const rows = observationsOf(oven.evidence).reverse()
  if (rows.length === 0) return null
  return (
    <table className="sheet">
      <caption className="sr-only">What was measured, newest first</caption>
      <thead>
        <tr>
          <th>Day</th>
          <th>By</th>
          <th>At</th>
          <th>Blades against display</th>
          <th>
            <span className="sr-only">Take out</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(row => (
          <tr key={row.id}>
            <td>{row.at.slice(0, 10)}</td>
            <td>{KIND_WORDS[row.kind]}</td>
            <td>{formatQuantity(row.atC, 'temperature', shop.units)}</td>
            <td className="font-semibold">
              {formatDifference(row.offsetK, shop.units)} ±{' '}
              {formatDifference(1.96 * row.sdK, shop.units).replace(/^\+/, '')}
            </td>
            <td className="text-right">
              <button
                type="button"
                className="link min-h-9 text-[13px]"
                aria-label={`Take out the ${KIND_WORDS[row.kind]} of ${row.at.slice(0, 10)} at ${Math.round(row.atC)} °C`}
                onClick={() => edit(o => ({ ...o, evidence: o.evidence.filter(e => e.id !== row.id) }))}
              >
                take out
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** What past hardness says, and taking it in as evidence. */
function HardnessPart({ oven, shop, onAdd }: { oven: Oven; shop: Workshop; onAdd: (item: OvenEvidence) => void }) {
  const batches = useBatches()
  const readings = useReadings()
  const request = useMemo(
    () => (batches && readings ? { batches, readings, oven: oven.name } : null),
    [batches, readings, oven.name],
  )
  const answer = useAnswer('oven-offset', request)
  if (oven.use !== 'hardening' || !answer) return null
  if (!answer.ok) return <p className="mt-4 text-[13px] text-bad">{answer.problems[0]?.message}</p>
  const found = answer.value
  return (
    <section className="mt-4 border-t border-rule pt-3">
      <h2 className="text-[15px] font-semibold">By the hardness of past batches</h2>
      {found === null ? (
        <p className="text-[13px] text-ink-2">Too few readings of batches in this oven to say anything.</p>
      ) : (
        <>
          <p className="text-[13.5px]">
            {found.readings} readings of {found.batches} batches: it acts {formatDifference(found.offsetK, shop.units)}{' '}
            ± {formatDifference(1.96 * found.sdK, shop.units).replace(/^\+/, '')} against its display near{' '}
            {formatQuantity(found.atC, 'temperature', shop.units)}.
          </p>
          <button
            type="button"
            className="btn mt-2"
            onClick={() =>
              onAdd({
                id: newId(),
                kind: 'hardness',
                at: new Date().toISOString(),
                atC: found.atC,
                offsetK: found.offsetK,
                sdK: found.sdK,
                readings: found.readings,
              })
            }
          >
            Take it in
          </button>
        </>
      )}
    </section>
  )
}
