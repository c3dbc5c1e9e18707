import { AMBIENT_C } from '../oven/chamber'
import { correctionOf } from '../oven/correction'
import { type FollowedBlade, type FollowedOven, followOven, type OvenTrack } from '../run/follow-oven'
import { type OvenRun, ovenEventsOf } from '../run/oven-events'
import type { Oven } from '../shop/oven'
import type { Run } from '../shop/run'
import { detailedOven } from './ovens'

/** Temperature tracks of the two ovens of a run. */
export interface RunTracks {
  readonly hardening: OvenTrack
  /** Null where the oven that hardens also tempers. */
  readonly tempering: OvenTrack | null
}

/** The ovens of a run followed by their fitted wall models, with their corrections, through what the run did to them. */
export function followRun({
  run,
  hardening,
  tempering,
}: {
  readonly run: OvenRun & Pick<Run, 'blades'>
  readonly hardening: Oven
  readonly tempering: Oven | null
}): RunTracks {
  const events = ovenEventsOf(run, tempering !== null)
  const blades = run.blades.map(
    (blade): FollowedBlade => ({
      bladeId: blade.bladeId,
      thicknessMm: blade.thicknessMm,
      widthMm: blade.widthMm,
      lengthMm: blade.lengthMm,
      view: blade.view,
      heatC: blade.austenitizeC,
    }),
  )
  const follow = (oven: Oven, name: 'hardening' | 'tempering') =>
    followOven(
      followedOven(oven),
      events.filter(event => event.oven === name),
      blades,
    )
  return { hardening: follow(hardening, 'hardening'), tempering: tempering && follow(tempering, 'tempering') }
}

/** An oven of the shop as it is followed: from room temperature. */
export const followedOven = (oven: Oven): FollowedOven => ({
  oven: detailedOven(oven),
  correctionAt: correctionOf(oven),
  startC: AMBIENT_C,
})
