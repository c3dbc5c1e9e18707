import { bladesOf } from '../core/batch/tray'
import type { Batch } from '../core/shop/batch'
import type { RunStep } from '../core/shop/run'
import { bothScales, formatNumber, formatQuantity, type System } from '../core/units/quantity'
import { PACE } from '../data/pace'
import { counted, marksOfBlades } from './lists'

/** A step of a run as it is read from three metres, pressed, and explained. */
export interface StepWords {
  readonly title: string
  readonly action: string
  readonly detail: string
}

/** Returns the text of a step of a run, in the shop's units and by the blades' present marks. */
export function stepWords(step: RunStep, batch: Batch, system: System): StepWords {
  if (step.told) return step.told
  const { names } = step
  const t = (c: number | undefined) => bothScales(c ?? 0, system)
  const marks = marksOfBlades(batch, step.bladeIds)
  const n = step.bladeIds.length
  const previous = names.afterBladeId === undefined ? null : marksOfBlades(batch, [names.afterBladeId])
  switch (step.kind) {
    case 'ready':
      return {
        title: 'Shop ready',
        action: 'All ready',
        detail: `Shield, gauntlets, plates clean and cold, vice open, air on hand. ${counted(bladesOf(batch).length, 'packet')} counted and marked.`,
      }
    case 'oven-on':
      return {
        title: 'Oven on',
        action: `Set ${t(names.setC)}, oven on`,
        detail: `Door shut, empty. The packets go in when it reads ${t(names.setC)}.`,
      }
    case 'oven-on-loaded':
      return {
        title: 'Oven on',
        action: `Set ${t(names.setC)}, oven on`,
        detail: 'The packets heat up with the oven. This is the gentlest way, and the slowest.',
      }
    case 'load':
      return {
        title: `Load ${counted(n, 'packet')}`,
        action: `Load ${n}, shut the door`,
        detail: `${marks}: power off while the door is open, spine down, tang toward you, thin blades in front, thickest at the back.`,
      }
    case 'equalise':
      return {
        title: `Equalise at ${formatNumber(names.atC ?? 0, 'temperature', system)}`,
        action: `Set ${t(names.setC)}`,
        detail: `Held ${names.holdMin ?? 0} min so that thick and thin blades reach the same temperature.`,
      }
    case 'full-heat':
      return {
        title: 'Wait for full heat',
        action: `It shows ${t(names.setC)}`,
        detail: `Each blade’s soak counts from when the blade itself is at heat, some minutes after the oven. Press when the display shows ${t(names.setC)}.`,
      }
    case 'pull':
      return pullWords(step, batch, marks, previous, system)
    case 'unclamp':
      if (names.oil)
        return {
          title: `${previous ?? ''} out of the oil`,
          action: 'Out of the oil, onto the rack',
          detail:
            'Let it drip over the tank, then wipe it. Lid on the tank. Into the temper as soon as it can be held.',
        }
      return {
        title: `${previous ?? ''} cool enough to hold`,
        action: 'Out of the plates',
        detail: 'Leave the air on until the packet can be held in a bare hand.',
      }
    case 'oven-off':
      return {
        title: 'Oven off',
        action: 'Oven off, door shut',
        detail: 'Nothing is left in the oven. Let it cool shut.',
      }
    case 'inspect':
      return {
        title: 'Count and look',
        action: `${n} out, straight and whole`,
        detail: `Open the foil away from you. Look for cracks, bends, and dark scale where a packet leaked. A file that slides off shows that it hardened.`,
      }
    case 'cold-in':
      return {
        title: `${n} into the cold`,
        action: `${n} in the cold`,
        detail: `${marks}: gloves, face shield, door open, lid loose. To ${t(names.atC)}.`,
      }
    case 'cold-out':
      return {
        title: 'Hold cold',
        action: `${n} out, to the rack`,
        detail: 'Then let them warm in still air until dry. Frost is water: wipe it off.',
      }
    case 'temper-cool':
      return {
        title: 'Cool to room',
        action: `Set ${t(names.setC)}, oven on`,
        detail: `Blades down to room temperature before temper ${names.round ?? 1}.`,
      }
    case 'temper-start':
      return {
        title: `Temper ${names.round ?? 1}: oven on`,
        action: `Set ${t(names.setC)}, oven on`,
        detail: names.sameOven
          ? 'The hardening oven must first have cooled below the temper.'
          : 'In the tempering oven.',
      }
    case 'temper-in':
      return {
        title: `Temper ${names.round ?? 1}: load ${n}`,
        action: `${n} in, shut`,
        detail: `${marks}. The clock adds ${PACE.temperLagMin} min until ${formatQuantity(names.thicknessMm ?? 0, 'length', system)} of steel is heated through.`,
      }
    case 'temper-out':
      return {
        title: `Temper ${names.round ?? 1}: hold`,
        action: `${n} out, cool in air`,
        detail: 'Down to room temperature before anything else.',
      }
    case 'measure':
      return {
        title: 'Measure',
        action: 'End the run',
        detail: 'Check the tester on its block, then take three readings per blade. Record them at the Measure bench.',
      }
  }
}

function pullWords(
  { bladeIds, names }: RunStep,
  batch: Batch,
  marks: string,
  previous: string | null,
  system: System,
): StepWords {
  const blade = bladesOf(batch).find(b => b.id === bladeIds[0])
  const what = blade ? ` ${blade.group.gradeName}, ${formatQuantity(blade.line.thicknessMm, 'length', system)}.` : ''
  const rest = names.restS ? ` The plates rest ${Math.round(names.restS / 60)} min before it.` : ''
  if (names.oil)
    return {
      title: `Pull ${marks}`,
      action: `Pull ${marks}, into the oil`,
      detail: `Shield down, gauntlets on.${what}${previous ? ` ${previous} out of the oil first.` : ''} The whole blade under at once, point first, and moved up and down, never sideways. Lid and extinguisher within reach.`,
    }
  return {
    title: `Pull ${marks}`,
    action: `Pull ${marks}, clamp, air on`,
    detail: `Shield down, gauntlets on.${what}${previous ? ` ${previous} out of the plates first.${rest}` : ' Into the plates at once, vice shut.'}`,
  }
}

/** Returns the title of a confirmed step on the paper of one blade, which names no other blade. */
export function plainStepTitle(step: RunStep, mark: string, system: System): string {
  if (step.told) return step.told.title
  const { names } = step
  switch (step.kind) {
    case 'load':
      return 'Into the oven'
    case 'pull':
      return `Out of the oven, into the ${names.oil ? 'oil' : 'plates'}: ${mark}`
    case 'inspect':
      return 'Counted and looked at'
    case 'cold-in':
      return `Into the cold, ${formatQuantity(names.atC ?? 0, 'temperature', system)}`
    case 'cold-out':
      return 'Out of the cold'
    case 'temper-in':
      return `Into temper ${names.round ?? 1}`
    case 'temper-out':
      return `Out of temper ${names.round ?? 1}`
    default:
      return step.kind
  }
}
