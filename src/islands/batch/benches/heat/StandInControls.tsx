import { useState } from 'react'
import { CONTROLLER_FAULTS, type ControllerFault, type ControllerReading } from '../../../../core/oven/line-protocol'
import type { ControllerSession } from '../../../../devices/controller-session'

const SPEEDS = [1, 10, 60, 200, 600] as const
const FAULT_WORDS: Readonly<Record<ControllerFault, string>> = {
  none: 'no fault',
  thermocouple: 'thermocouple breaks',
  element: 'an element fails',
  power: 'power cut',
  overshoot: 'relay sticks on',
}

/** Controls of the simulated controller: its clock's speed, faults to practise with, and a door. */
export function StandInControls({
  reading,
  send,
}: {
  reading: ControllerReading | null
  send: ControllerSession['send']
}) {
  const [speed, setSpeed] = useState(1)
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      <label>
        <span className="label">Speed</span>
        <select
          className="field w-28"
          value={speed}
          onChange={event => {
            setSpeed(Number(event.target.value))
            void send([{ kind: 'speed', times: Number(event.target.value) }])
          }}
        >
          {SPEEDS.map(times => (
            <option key={times} value={times}>
              {times} ×
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="label">Fault</span>
        <select
          className="field w-48"
          value={reading?.fault ?? 'none'}
          onChange={event => void send([{ kind: 'fault', fault: event.target.value as ControllerFault }])}
        >
          {CONTROLLER_FAULTS.map(fault => (
            <option key={fault} value={fault}>
              {FAULT_WORDS[fault]}
            </option>
          ))}
        </select>
      </label>
      <button type="button" className="btn" onClick={() => void send([{ kind: 'door', open: !reading?.doorOpen }])}>
        {reading?.doorOpen ? 'Shut the door' : 'Open the door'}
      </button>
    </div>
  )
}
