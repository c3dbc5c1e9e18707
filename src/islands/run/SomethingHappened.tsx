import { useState } from 'react'
import type { RunState } from '../../core/run/run-state'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { secondsOf } from '../../core/units/time'
import {
  INCIDENT_NAMES,
  INCIDENTS,
  type Incident,
  SAFE_STATE,
  type SafePoint,
  STOP_REASONS,
  type StopReason,
} from '../../data/incidents'
import { INCIDENT_WORDS, SAFE_WORDS, STOP_WORDS } from '../../words/incidents'
import { marksOfBlades } from '../../words/lists'
import { type Choice, Choices, QUICK_KEYS } from './Choices'
import { RunDialog } from './RunDialog'
import { logIncident, stopRun } from './run-log'

interface Props {
  readonly run: Run
  readonly batch: Batch
  readonly state: RunState
  readonly boundKey: string | null
  /** It is called off, and only why is asked. */
  readonly callOff?: boolean
  readonly onClose: () => void
}

type Asked =
  | { readonly kind: 'what' }
  | { readonly kind: 'which'; readonly incident: Incident }
  | { readonly kind: 'how-long'; readonly incident: Incident; readonly bladeIds: readonly string[] }
  | { readonly kind: 'why-stop' }
  | { readonly kind: 'safe'; readonly reason: StopReason; readonly safe: readonly SafePoint[] }

const SECONDS = [5, 10, 15, 20, 30, 45, 60, 90] as const
const MINUTES = [1, 2, 3, 5, 10, 15, 20, 30, 45, 60] as const

/** Choices whose keys stay theirs, whichever of them are listed: a hand learns them. */
const keyed = <T,>(choices: readonly Choice<T>[]): Choice<T>[] =>
  choices.map((choice, i) => ({ ...choice, quick: QUICK_KEYS[i] }))

const ALL_THAT_HAPPENS = keyed<Incident | 'stop' | 'nothing'>([
  ...INCIDENT_NAMES.map(value => ({ value, label: INCIDENT_WORDS[value].name })),
  { value: 'stop', label: 'Call it off' },
  { value: 'nothing', label: 'Nothing: go back' },
])

/** Records an incident in one press, with no more questions than it needs. */
export function SomethingHappened({ run, batch, state, boundKey, callOff = false, onClose }: Props) {
  const [asked, setAsked] = useState<Asked>({ kind: callOff ? 'why-stop' : 'what' })
  const log = (incident: Incident, bladeIds: readonly string[], seconds: number | 'still-off') => {
    const lasted = seconds === 'still-off' ? { seconds: 0, stillOff: true as const } : { seconds }
    void logIncident(run, { incident, bladeIds, ...lasted, text: '' })
    onClose()
  }
  const asks = (incident: Incident): readonly string[] => INCIDENTS[incident].asks
  const isLong = (incident: Incident) => asks(incident).some(one => one !== 'blades')
  const choose = (incident: Incident) => {
    if (asks(incident).includes('blades')) setAsked({ kind: 'which', incident })
    else if (isLong(incident)) setAsked({ kind: 'how-long', incident, bladeIds: [] })
    else log(incident, [], 0)
  }
  const parts = {
    what: () => (
      <Choices<Incident | 'stop' | 'nothing'>
        key="what"
        label="What happened?"
        boundKey={boundKey}
        choices={ALL_THAT_HAPPENS.filter(({ value }) => value !== 'helper-gone' || state.people === 2)}
        onChoose={what =>
          what === 'nothing' ? onClose() : what === 'stop' ? setAsked({ kind: 'why-stop' }) : choose(what)
        }
      />
    ),
    which: (incident: Incident) => (
      <Choices
        key="which"
        label="Which blade?"
        boundKey={boundKey}
        choices={bladesInHand(run, state).map(id => ({ value: id, label: marksOfBlades(batch, [id]) }))}
        onChoose={id =>
          isLong(incident) ? setAsked({ kind: 'how-long', incident, bladeIds: [id] }) : log(incident, [id], 0)
        }
      />
    ),
    howLong: (incident: Incident, bladeIds: readonly string[]) => {
      const inSeconds = asks(incident).includes('seconds')
      const { usual } = INCIDENTS[incident]
      const steps: readonly number[] = inSeconds ? SECONDS : MINUTES
      // The usual one first: it is taken with one long press.
      const sorted = [usual, ...steps.filter(one => one !== usual)]
      return (
        <Choices<number | 'still-off'>
          key="how-long"
          label={INCIDENT_WORDS[incident].asks}
          boundKey={boundKey}
          choices={[
            ...sorted.map(value => ({
              value: inSeconds ? value : secondsOf(value),
              label: `${value} ${inSeconds ? 's' : 'min'}`,
            })),
            ...(INCIDENTS[incident].does === 'no-power'
              ? [{ value: 'still-off' as const, label: 'It is still off' }]
              : []),
          ]}
          onChoose={seconds => log(incident, bladeIds, seconds)}
        />
      )
    },
    whyStop: () => (
      <Choices
        key="why-stop"
        label="Why is it called off?"
        boundKey={boundKey}
        choices={STOP_REASONS.map(value => ({ value, label: STOP_WORDS[value] }))}
        onChoose={reason => setAsked({ kind: 'safe', reason, safe: [] })}
      />
    ),
    safe: (reason: StopReason, safe: readonly SafePoint[]) => (
      <>
        <p className="mb-3 text-large">
          Make it safe, then end the run. What was done stays done, and the batch goes on from here another time.
        </p>
        <Choices<SafePoint | 'end'>
          key={`safe ${safe.length}`}
          label="What is safe?"
          boundKey={boundKey}
          choices={[
            ...keyed(SAFE_STATE.map(value => ({ value, label: SAFE_WORDS[value] }))).filter(
              ({ value }) => !safe.includes(value),
            ),
            {
              value: 'end',
              quick: QUICK_KEYS[SAFE_STATE.length],
              label: safe.length === SAFE_STATE.length ? 'End the run' : 'End the run as it is',
            },
          ]}
          onChoose={point => {
            if (point !== 'end') return setAsked({ kind: 'safe', reason, safe: [...safe, point] })
            void stopRun(run, { reason, safe, text: '' })
            onClose()
          }}
        />
      </>
    ),
  }
  return (
    <RunDialog title={titleOf(asked)} onClose={onClose}>
      {asked.kind === 'what' && parts.what()}
      {asked.kind === 'which' && parts.which(asked.incident)}
      {asked.kind === 'how-long' && parts.howLong(asked.incident, asked.bladeIds)}
      {asked.kind === 'why-stop' && parts.whyStop()}
      {asked.kind === 'safe' && parts.safe(asked.reason, asked.safe)}
      <p className="mt-4 text-lead text-bone-2">
        Press its number or letter, or press shortly for the next and hold to take it. The clocks go on meanwhile.
      </p>
    </RunDialog>
  )
}

function titleOf(asked: Asked): string {
  switch (asked.kind) {
    case 'what':
      return 'What happened?'
    case 'which':
      return `${INCIDENT_WORDS[asked.incident].name}: which blade?`
    case 'how-long':
      return INCIDENT_WORDS[asked.incident].asks
    case 'why-stop':
      return 'Why is it called off?'
    case 'safe':
      return STOP_WORDS[asked.reason]
  }
}

/** Blades it may have befallen: the one in hand first, then those that were moved last. */
function bladesInHand(run: Run, state: RunState): string[] {
  const present = state.step?.bladeIds.length === 1 ? state.step.bladeIds : []
  const moved = [...state.confirmed].reverse().flatMap(({ step }) => (step.kind === 'pull' ? step.bladeIds : []))
  const all = [...moved.slice(0, 1), ...present, ...moved, ...run.blades.map(blade => blade.bladeId)]
  return [...new Set(all)].filter(id => !state.gone.has(id))
}
