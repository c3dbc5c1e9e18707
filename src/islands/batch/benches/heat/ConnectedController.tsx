import type { Load } from '../../../../core/load/loads'
import { type ControllerReading, programmeCommands } from '../../../../core/oven/line-protocol'
import type { Segment } from '../../../../core/oven/programme'
import type { Oven } from '../../../../core/shop/oven'
import { newLog } from '../../../../core/trace/oven-log'
import { minutesOf } from '../../../../core/units/time'
import type { ControllerSession, ControllerState } from '../../../../devices/controller-session'
import { changeLog, putLog } from '../../../../store/records'
import { LogDrawing } from '../../../../ui/drawings/LogDrawing'
import { toast } from '../../../../ui/toast'
import { useSay } from '../../../../ui/Units'
import { controllerTroubleWords, garbledWords } from '../../../../words/oven'
import { percentText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'
import { StandInControls } from './StandInControls'

interface Props {
  readonly load: Load
  readonly segments: readonly Segment[]
  readonly oven: Oven
  readonly session: ControllerSession
  readonly state: ControllerState
  readonly disconnect: () => void
}

/** A connected controller: what it shows, the programme sent to it, and its log kept with the batch. */
export function ConnectedController({ load, segments, oven, session, state, disconnect }: Props) {
  const { batch, shop } = useBench()
  const { reading, trouble, samples, keeping, garbled } = state
  const running = (reading?.step ?? 0) > 0
  const run = async () => {
    const steps = segments.map(s => ({ rateCPerH: s.rateCPerH, targetC: s.setC, holdMin: s.holdMin }))
    if (await session.send([{ kind: 'stop' }, ...programmeCommands(steps), { kind: 'run' }]))
      toast(`${steps.length} steps sent, the programme runs.`)
  }
  const keep = async () => {
    const id = newId()
    const of = {
      id,
      ovenId: oven.id,
      batchId: batch.id,
      load: { temper: 0, groupIds: load.groups.map(g => g.id) },
      name: `${session.name}, ${new Date().toLocaleDateString('en-GB')}`,
      addedAt: new Date().toISOString(),
    }
    let written = false
    const done = await session.keep(async points => {
      const { saved } = await (written
        ? changeLog(id, { points: newLog(of, points).points })
        : putLog(newLog(of, points)))
      written ||= saved
      return saved
    })
    if (done) toast('Kept with this batch while the controller sends: see “Logged heat”.')
  }
  return (
    <section aria-label={session.name} className="mt-3 border-t border-rule pt-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <ReadingLine reading={reading} />
        <button type="button" className="btn btn-ember" onClick={() => void run()}>
          {running ? 'Send and start again' : 'Send and run'}
        </button>
        <button type="button" className="btn" disabled={!running} onClick={() => void session.send([{ kind: 'stop' }])}>
          Stop
        </button>
        <button type="button" className="btn" disabled={samples.length < 2 || keeping} onClick={() => void keep()}>
          {keeping ? 'Log kept' : 'Keep the log'}
        </button>
        <button type="button" className="btn" onClick={disconnect}>
          Disconnect
        </button>
      </div>
      {trouble && (
        <p role="alert" className="mt-2 text-small text-bad">
          {controllerTroubleWords(trouble)}
        </p>
      )}
      {garbled > 0 && <p className="mt-2 text-small text-ink-2">{garbledWords(garbled)}</p>}
      {session.simulated && <StandInControls reading={reading} send={session.send} />}
      {samples.length > 1 && (
        <LogDrawing
          lines={[{ name: 'the display', points: samples, look: 'logged' }]}
          system={shop.units}
          label="What the controller showed"
          height={108}
        />
      )}
    </section>
  )
}

function ReadingLine({ reading }: { reading: ControllerReading | null }) {
  const say = useSay()
  if (!reading) return <p className="text-ink-2">Listening …</p>
  return (
    <p aria-live="off">
      <span className="figure text-figure">{reading.shownC === null ? 'open' : say.t(reading.shownC)}</span>{' '}
      <span className="text-small text-ink-2">
        {reading.shownC === null
          ? 'thermocouple broken: the controller has shut the power off'
          : `set ${say.t(reading.setC)}, step ${reading.step || '—'}, power ${percentText(reading.power)}, ${say.minutes(Math.round(minutesOf(reading.atS)))} on`}
        {reading.doorOpen ? ', door open' : ''}
      </span>
    </p>
  )
}
