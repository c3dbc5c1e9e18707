import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import {
  CONTROLLER_FAULTS,
  type ControllerFault,
  type ControllerReading,
  programmeCommands,
} from '../../../../core/oven/line-protocol'
import { thinLog } from '../../../../core/oven/log/thin'
import type { Segment } from '../../../../core/oven/programme'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { formatQuantity } from '../../../../core/units/quantity'
import type { LinePort } from '../../../../devices/line-port'
import { hasSerial, openSerialPort } from '../../../../devices/serial-port'
import { openSimulatedPort } from '../../../../devices/simulated-port'
import { putLog } from '../../../../store/records'
import { LogDrawing } from '../../../../ui/drawings/LogDrawing'
import { newId } from '../../edit'
import { type HeardController, useController } from './use-controller'

interface Props {
  readonly batch: Batch
  readonly segments: readonly Segment[]
  readonly oven: Oven
  readonly shop: Workshop
}

const SPEEDS = [1, 10, 60, 200, 600] as const
const FAULT_WORDS: Readonly<Record<ControllerFault, string>> = {
  none: 'no fault',
  thermocouple: 'thermocouple breaks',
  element: 'an element fails',
  power: 'power cut',
  overshoot: 'relay sticks on',
}
const KEPT_POINTS = 3000

/** A controller on the line: the simulated one that ships, or one on a cable where the browser has Web Serial. */
export default function ControllerPanel({ batch, segments, oven, shop }: Props) {
  const [port, setPort] = useState<{ readonly line: LinePort; readonly simulated: boolean } | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const heard = useController(port?.line ?? null)
  const openSerial = () =>
    openSerialPort().then(
      line => setPort({ line, simulated: false }),
      error => setRefused(`No device: ${error instanceof Error ? error.message : 'none was chosen'}.`),
    )
  if (!port)
    return (
      <div className="mt-3 border-t border-rule pt-3">
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-ember"
            onClick={() => setPort({ line: openSimulatedPort(newId(), oven.preset), simulated: true })}
          >
            Connect the simulated controller
          </button>
          {hasSerial() && (
            <button type="button" className="btn" onClick={() => void openSerial()}>
              One on a cable …
            </button>
          )}
        </div>
        <p className="mt-2 max-w-2xl text-[12.5px] text-ink-2">
          The simulated one is a stand-in that ships with the application: nothing gets hot. A real one speaks the line
          protocol of docs/devices.md{hasSerial() ? '' : '; this browser has no access to a cable'}. Never leave a hot
          oven to a program alone.
        </p>
        {refused && (
          <p role="alert" className="mt-2 text-[13px] text-bad">
            {refused}
          </p>
        )}
      </div>
    )
  return (
    <Connected
      batch={batch}
      segments={segments}
      oven={oven}
      shop={shop}
      heard={heard}
      simulated={port.simulated}
      name={port.line.name}
    />
  )
}

function Connected({
  batch,
  segments,
  oven,
  shop,
  heard,
  simulated,
  name,
}: Props & { heard: HeardController; simulated: boolean; name: string }) {
  const { reading, trouble, samples, send } = heard
  const [speed, setSpeed] = useState(1)
  const running = (reading?.step ?? 0) > 0
  const steps = useMemo(
    () => segments.map(s => ({ rateCPerH: s.rateCPerH, targetC: s.setC, holdMin: s.holdMin })),
    [segments],
  )
  const run = async () => {
    if (await send([{ kind: 'stop' }, ...programmeCommands(steps), { kind: 'run' }]))
      toast(`${steps.length} steps sent, the programme runs.`)
  }
  const keep = async () => {
    const points = thinLog(
      samples.map(([m]) => m),
      samples.map(([, c]) => c),
      KEPT_POINTS,
    )
    if (points.length < 2) return
    const log = {
      id: newId(),
      ovenId: oven.id,
      batchId: batch.id,
      name: `${name}, ${new Date().toLocaleDateString('en-GB')}`,
      addedAt: new Date().toISOString(),
      points: points.map(([m, c]): [number, number] => [m, c]),
      loadedMin: null,
      pulledMin: null,
    }
    if (await putLog(log)) toast('Kept with this batch: see “Afterwards”.')
  }
  return (
    <section aria-label={name} className="mt-3 border-t border-rule pt-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <ReadingLine reading={reading} shop={shop} />
        <button type="button" className="btn btn-ember" onClick={() => void run()}>
          {running ? 'Send and begin again' : 'Send and run'}
        </button>
        <button type="button" className="btn" disabled={!running} onClick={() => void send([{ kind: 'stop' }])}>
          Stop
        </button>
        <button type="button" className="btn" disabled={samples.length < 2} onClick={() => void keep()}>
          Keep the log
        </button>
      </div>
      {trouble && (
        <p role="alert" className="mt-2 text-[13px] text-bad">
          {trouble}
        </p>
      )}
      {simulated && (
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
            <span className="label">Surprise</span>
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
      )}
      {samples.length > 1 && (
        <LogDrawing
          lines={[{ name: 'the display', points: samples, look: 'logged' }]}
          system={shop.units}
          label="What the controller showed"
          height={150}
        />
      )}
    </section>
  )
}

function ReadingLine({ reading, shop }: { reading: ControllerReading | null; shop: Workshop }) {
  if (!reading) return <p className="text-ink-2">Listening …</p>
  return (
    <p aria-live="off">
      <span className="figure text-[38px]">
        {reading.shownC === null ? 'open' : formatQuantity(reading.shownC, 'temperature', shop.units)}
      </span>{' '}
      <span className="text-[13px] text-ink-2">
        {reading.shownC === null
          ? 'thermocouple broken: the controller has shut the power off'
          : `set ${formatQuantity(reading.setC, 'temperature', shop.units)}, step ${reading.step || '—'}, power ${Math.round(100 * reading.power)} %, ${formatQuantity(Math.round(reading.atS / 60), 'duration', shop.units)} on`}
        {reading.doorOpen ? ', door open' : ''}
      </span>
    </p>
  )
}
