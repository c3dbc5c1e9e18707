import { useEffect, useRef, useState } from 'react'
import { detailedOven } from '../../core/equipment/ovens'
import { halfWidth95 } from '../../core/numeric/coverage'
import { hottestOf } from '../../core/oven/chamber'
import type { FactorEstimate, OvenFitResult } from '../../core/oven/fit/fit-oven'
import type { Oven, OvenFit } from '../../core/shop/oven'
import type { OvenLog } from '../../core/shop/oven-log'
import type { FitFactor } from '../../data/oven-fit'
import { LogDrawing } from '../../ui/drawings/LogDrawing'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { cautionWords } from '../../words/cautions'
import { problemWords } from '../../words/problems'
import { percentText } from '../../words/speaker'
import { startFit } from '../../workers/log-client'
import type { Task } from '../../workers/open-worker'
import { useShopNow } from '../shop-context'
import { useChamber } from '../use-chamber'
import type { EditOven, OvenProps } from './oven-props'

const FACTOR_WORDS: Readonly<Record<FitFactor, string>> = {
  wallK: 'heat through the wall',
  wallC: 'heat stored in the wall',
  mass: 'heat stored in rack, hearth and elements',
  leak: 'heat lost past the door',
  power: 'power of the elements',
}

type FitState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly share: number }
  | { readonly kind: 'trouble'; readonly message: string }
  | { readonly kind: 'done'; readonly result: OvenFitResult }

/** A log, and what the oven's model learns from it. */
export function FitPart({ log, oven, edit }: OvenProps & { log: OvenLog }) {
  const say = useSay()
  const shop = useShopNow()
  const [state, setState] = useState<FitState>({ kind: 'idle' })
  const task = useRef<Task<unknown> | null>(null)
  useEffect(() => () => task.current?.cancel(), [])
  const start = () => {
    setState({ kind: 'running', share: 0 })
    // From the size's own walls, not from an older fit: a fit never stands on a fit.
    const fit = startFit(detailedOven({ ...oven, fit: null }), log.points, share =>
      setState({ kind: 'running', share }),
    )
    task.current = fit
    fit.done
      .then(
        result =>
          setState(
            result.ok
              ? { kind: 'done', result: result.value }
              : { kind: 'trouble', message: result.problems.map(found => problemWords(found, say)).join(' ') },
          ),
        () => setState({ kind: 'trouble', message: 'The fit did not start. Load the page again.' }),
      )
  }
  const result = state.kind === 'done' ? state.result : null
  return (
    <section>
      <LogDrawing
        lines={[
          { name: 'as logged', points: log.points, look: 'logged' },
          ...(result
            ? [
                {
                  name: 'the model, fitted',
                  points: result.curve.map(([m, , c]) => [m, c] as const),
                  look: 'model' as const,
                },
              ]
            : []),
        ]}
        system={shop.units}
        label={`${log.name}${result ? ' with the fitted model' : ''}`}
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {state.kind === 'running' ? (
          <>
            <progress className="w-60" max={1} value={state.share} aria-label="Fitting the oven" />
            <button
              type="button"
              className="btn"
              onClick={() => {
                task.current?.cancel()
                setState({ kind: 'idle' })
              }}
            >
              Cancel
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-ember" onClick={start}>
            Fit the oven to this log
          </button>
        )}
        <p className="text-note text-ink-2">For an empty oven; power as entered: volts times amps is the surest.</p>
      </div>
      {state.kind === 'trouble' && (
        <p role="alert" className="mt-2 text-bad">
          {state.message}
        </p>
      )}
      {result && <FitResult result={result} log={log} oven={oven} edit={edit} />}
    </section>
  )
}

function FitResult({ result, log, oven, edit }: { result: OvenFitResult; log: OvenLog; oven: Oven; edit: EditOven }) {
  const say = useSay()
  const value = (name: FitFactor) => result.factors.find(f => f.factor === name)?.value ?? 1
  const take = () => {
    const fit: OvenFit = {
      at: new Date().toISOString(),
      logName: log.name,
      wallK: value('wallK'),
      wallC: value('wallC'),
      mass: value('mass'),
      leak: value('leak'),
      power: value('power'),
      residualK: result.residualK,
      identified: result.factors.filter(f => f.identified).map(f => f.factor),
    }
    edit(o => ({ ...o, fit }))
    toast('The oven’s model now follows this log.')
  }
  const chamber = useChamber(oven)
  return (
    <div className="mt-3 space-y-2">
      <p className="text-small">
        Difference left after the fit: <strong>{say.d(result.residualK)}</strong> (typical difference, root mean
        square), {say.d(result.residualBeforeK)} before it.
        {chamber && ` As it stands now the oven comes to about ${say.t(hottestOf(chamber))} at full power.`}
      </p>
      <table className="sheet max-w-xl">
        <caption className="sr-only">What the log taught</caption>
        <thead>
          <tr>
            <th>Property</th>
            <th>Times the usual</th>
            <th>Learnt from this log</th>
          </tr>
        </thead>
        <tbody>
          {result.factors.map(f => (
            <tr key={f.factor}>
              <td>{FACTOR_WORDS[f.factor]}</td>
              <td className="font-semibold">
                {f.value.toFixed(2)} {bandOf(f)}
              </td>
              <td>{f.identified ? 'yes' : <span className="text-ink-2">hardly: mostly as assumed</span>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {result.notes.map(note => (
        <p key={note.code} className="max-w-2xl border-l-3 border-rule-strong pl-3 text-small">
          {cautionWords(note, say)}
        </p>
      ))}
      <button type="button" className="btn btn-ember" onClick={take}>
        Use this fit for the oven
      </button>
    </div>
  )
}

/** 95 % either side, as a share. */
const bandOf = ({ sd }: FactorEstimate) => `± ${percentText(halfWidth95(sd))}`
