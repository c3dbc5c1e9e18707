import { useState } from 'react'
import type { Run } from '../../core/shop/run'
import { minutesOf, secondsOf } from '../../core/units/time'
import { clockText } from '../../words/clock-text'
import { Choices } from './Choices'
import { RunDialog } from './RunDialog'
import { logIncident } from './run-log'
import type { ClockAnswer, ClockQuestion } from './use-run-clock'

interface Props {
  readonly run: Run
  readonly question: ClockQuestion
  readonly boundKey: string | null
  readonly answer: (of: ClockAnswer) => void
  readonly onStop: () => void
  /** Model of oven and blades meanwhile; null if nothing is known of it. */
  readonly meanwhile: string | null
}

const MINUTES = [0, 1, 2, 5, 10, 20, 30, 60, 120, 240, 480] as const

/** Asks about time that passed while nobody looked: only the person in the shop can tell, and the clocks wait for the answer. */
export function ClockQuestions({ run, question, boundKey, answer, onStop, meanwhile }: Props) {
  const [offFor, setOffFor] = useState(false)
  const byMin = 'byS' in question ? Math.round(minutesOf(question.byS)) : 0
  const title =
    question.kind === 'set-back'
      ? 'The computer’s clock was set back while this page was closed. For how long was it closed?'
      : question.kind === 'ahead'
        ? `The computer’s clock is ${clockText(question.byS)} ahead at once. What happened?`
        : `This page was gone for ${clockText(question.byS)}. What happened meanwhile?`
  const powerOff = (minutes: number) => {
    answer({ kind: 'went-on' })
    void logIncident(run, { incident: 'power-cut', bladeIds: [], seconds: secondsOf(minutes), text: '' })
  }
  const close = (what: 'went-on' | 'power' | 'set' | 'stop') => {
    if (what === 'power') return setOffFor(true)
    if (what === 'stop') {
      answer({ kind: 'went-on' })
      return onStop()
    }
    answer(what === 'set' ? { kind: 'clock-was-set' } : { kind: 'went-on' })
  }
  return (
    <RunDialog title={offFor ? 'How long was the oven without power?' : title}>
      {meanwhile && <p className="mb-3 text-large">{meanwhile}</p>}
      {question.kind === 'set-back' ? (
        <Choices
          key="closed"
          label="For how long was it closed?"
          boundKey={boundKey}
          choices={MINUTES.map(value => ({ value, label: `${value} min` }))}
          onChoose={minutes => answer({ kind: 'was-away', minutes })}
        />
      ) : offFor ? (
        <Choices
          key="off"
          label="How long was the oven without power?"
          boundKey={boundKey}
          choices={[byMin, ...MINUTES.filter(one => one > 0 && one < byMin)].map(value => ({
            value,
            label: `${value} min`,
          }))}
          onChoose={powerOff}
        />
      ) : (
        <Choices
          key="what"
          label="What happened?"
          boundKey={boundKey}
          choices={[
            { value: 'went-on' as const, label: 'The computer slept; the oven went on' },
            { value: 'power' as const, label: 'The power was off, the oven too' },
            { value: 'set' as const, label: 'The clock was set; no time passed' },
            { value: 'stop' as const, label: 'Call the run off' },
          ]}
          onChoose={close}
        />
      )}
    </RunDialog>
  )
}
