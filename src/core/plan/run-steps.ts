import { PACE } from '../../data/pace'
import { AMBIENT_C, bladeKg } from '../oven/chamber'
import { keyedC } from '../oven/correction'
import { CROWDED_VIEW } from '../oven/lag'
import { soakLag } from '../oven/soak-lag'
import { chamberOf, ovenOf, temperingOvenOf } from '../record/oven-record'
import type { Oven } from '../record/oven-schema'
import type { Batch, RunStep, Workshop } from '../record/schemas'
import { formatBoth, formatNumber, formatQuantity, type System } from '../units/quantity'
import type { PullGap } from './pull-list'
import { type Load, loadsOf, piecesOf, type TemperLoad, temperLoadsOf, thickestMm } from './tray'
import { foilMarkLine } from './words'

/** Chamber within this of its set point counts as there, K. Common practice, no published source. */
const AT_HEAT_WITHIN_K = 4

type Draft = Omit<RunStep, 'id'>

const numbered = (steps: readonly Draft[]): RunStep[] => steps.map((step, i) => ({ ...step, id: `s${i + 1}` }))

const MEASURE: Draft = {
  kind: 'measure',
  station: 'measure',
  title: 'Measure',
  action: 'End the run',
  detail: 'Check the tester on its block, then take three readings a blade. Record them at the Measure bench.',
  wait: null,
  ovenSetC: 0,
  pieces: [],
}

/**
 * The hot run as a list of single actions, in order: loads from cool to hot, one packet at a time through the
 * plates, inspection with count, cold together, tempers by round. The oven is set in corrected temperatures.
 */
export function buildRunSteps(batch: Batch, shop: Workshop, gaps: ReadonlyMap<string, PullGap> = new Map()): RunStep[] {
  const loads = loadsOf(batch)
  const pieces = piecesOf(batch)
  const steps: Draft[] = [
    {
      kind: 'ready',
      station: 'heat',
      title: 'Shop ready',
      action: 'All ready',
      detail: `Shield, gauntlets, plates clean and cold, vice open, air on hand. ${pieces.length} packets counted and marked.`,
      wait: null,
      ovenSetC: 0,
      pieces: [],
    },
    ...loads.flatMap((load, i) => loadSteps(load, loads[i - 1], shop, batch, gaps)),
    ...(loads.length > 0 ? [ovenOff(loads, ovenOf(shop, batch))] : []),
    {
      kind: 'inspect',
      station: 'inspect',
      title: 'Count and look',
      action: `${pieces.length} out, straight and whole`,
      detail: `Count out equals count in: ${pieces.length}. Open the foil away from you. Look for cracks, bends, dark scale where a packet leaked; a skating file says it hardened.`,
      wait: null,
      ovenSetC: 0,
      pieces: [],
    },
    ...coldSteps(batch, shop),
    ...temperSteps(temperLoadsOf(batch), shop, batch),
    MEASURE,
  ]
  return numbered(steps)
}

/** A run of tempers alone, for blades that were hardened before. */
export const buildTemperRun = (loads: readonly TemperLoad[], shop: Workshop, batch: Batch): RunStep[] =>
  numbered([...temperSteps(loads, shop, batch), MEASURE])

/** Entry, soak and the pulls of one load. A later load goes straight into the hot oven: it would take an hour to fall. */
function loadSteps(
  load: Load,
  before: Load | undefined,
  shop: Workshop,
  batch: Batch,
  gaps: ReadonlyMap<string, PullGap>,
): Draft[] {
  const oven = ovenOf(shop, batch)
  const setC = keyedC(oven, load.austenitizeC)
  const { equalise, entryC: entryNominalC } = load
  const entrySetC = entryNominalC <= AMBIENT_C ? AMBIENT_C : keyedC(oven, entryNominalC)
  const marks = load.pieces.map(p => p.mark)
  const first = load.pieces[0]
  const last = load.pieces[load.pieces.length - 1]
  if (!first || !last) return []
  const fromCold = !before && entryNominalC <= AMBIENT_C
  const loading: Draft = {
    kind: 'load',
    station: 'heat',
    title: `Load ${marks.length} packets`,
    action: `Load ${marks.length}, shut the door`,
    detail: `${foilMarkLine(marks)}: power off while the door is open, spine down, tang toward you, thin ones in front, thickest at the back.`,
    wait: fromCold ? null : { kind: 'oven', atLeastC: entrySetC - AT_HEAT_WITHIN_K },
    ovenSetC: fromCold ? 0 : entrySetC,
    pieces: marks,
  }
  const switchedOn = before ? [] : [ovenOn(entrySetC, marks.length, shop)]
  return [
    ...(fromCold ? [loading, coldStart(setC, shop)] : [...switchedOn, loading]),
    ...equalise.map(
      (step): Draft => ({
        kind: 'soak',
        station: 'heat',
        title: `Equalise at ${formatNumber(keyedC(oven, step.atC), 'temperature', shop.units)}`,
        action: `Set ${formatBoth(setC, shop.units)}`,
        detail: `Held ${step.holdMin} min so that thick and thin go on together.`,
        wait: { kind: 'seconds', seconds: step.holdMin * 60 },
        ovenSetC: keyedC(oven, step.atC),
        pieces: [],
      }),
    ),
    {
      kind: 'soak',
      station: 'heat',
      title: 'Wait for full heat',
      action: 'Start the soak clock',
      detail: `The soak clock starts when the oven reads ${formatBoth(setC, shop.units)}; the blade’s own lag is added to it.`,
      wait: { kind: 'oven', atLeastC: setC - AT_HEAT_WITHIN_K },
      ovenSetC: setC,
      pieces: [],
    },
    ...pullSteps(load, oven, setC, gaps, shop.units),
    {
      kind: 'pull',
      station: 'plates',
      title: `${last.mark} hand-warm`,
      action: 'Out of the plates',
      detail: 'Leave the air on until the packet can be held in a bare hand.',
      wait: { kind: 'seconds', seconds: PACE.clampedS },
      ovenSetC: setC,
      pieces: [],
    },
  ]
}

const ovenOn = (entrySetC: number, count: number, shop: Workshop): Draft => ({
  kind: 'start',
  station: 'heat',
  title: 'Oven on',
  action: `Set ${formatBoth(entrySetC, shop.units)}, oven on`,
  detail: `Door shut, empty. ${count} packets go in when it reads ${formatBoth(entrySetC, shop.units)}.`,
  wait: null,
  ovenSetC: 0,
  pieces: [],
})

/** From cold: the packets are in before it is switched on. */
const coldStart = (setC: number, shop: Workshop): Draft => ({
  kind: 'start',
  station: 'heat',
  title: 'Oven on',
  action: `Set ${formatBoth(setC, shop.units)}, oven on`,
  detail: 'The packets go up with the oven: gentle, and the longest.',
  wait: null,
  ovenSetC: 0,
  pieces: [],
})

const ovenOff = (loads: readonly Load[], oven: Oven): Draft => ({
  kind: 'start',
  station: 'plates',
  title: 'Oven off',
  action: 'Oven off, door shut',
  detail: 'Nothing is left in the oven. Let it cool shut.',
  wait: null,
  ovenSetC: keyedC(oven, loads[loads.length - 1]?.austenitizeC ?? 0),
  pieces: [],
})

/** One packet at a time: each at its own soak, and not before the one in the plates is hand-warm. */
function pullSteps(load: Load, oven: Oven, setC: number, gaps: ReadonlyMap<string, PullGap>, system: System): Draft[] {
  const steelKg = load.pieces.reduce((sum, p) => sum + bladeKg(p.blade), 0)
  const chamber = chamberOf(oven)
  // The clock is for the slowest case, a packet crowded by others.
  const soakedS = (i: number) => {
    const piece = load.pieces[i]
    if (!piece) return 0
    const { equalise, entryC, austenitizeC } = load
    const { lagS } = soakLag({
      oven: chamber,
      steelKg,
      equalise,
      entryC,
      austenitizeC,
      thicknessMm: piece.blade.thicknessMm,
      view: CROWDED_VIEW,
    })
    return Math.round(60 * piece.group.route.soakMin + lagS)
  }
  return load.pieces.map((piece, i): Draft => {
    const previous = load.pieces[i - 1]
    const first = `Shield down, gauntlets on. ${piece.group.gradeName}, ${formatQuantity(piece.blade.thicknessMm, 'length', system)}.`
    return {
      kind: 'pull',
      station: 'plates',
      title: `Pull ${piece.mark}`,
      action: `Pull ${piece.mark}, clamp, air on`,
      detail: previous
        ? `${first} ${previous.mark} out of the plates first.${restSays(gaps.get(piece.mark))}`
        : `${first} Into the plates at once, vice shut.`,
      wait: {
        kind: 'seconds',
        seconds: previous
          ? Math.max(gaps.get(piece.mark)?.seconds ?? PACE.clampedS, soakedS(i) - soakedS(i - 1))
          : soakedS(i),
      },
      ovenSetC: setC,
      pieces: [piece.mark],
    }
  })
}

/** Plates that must rest are named, with how long. */
const restSays = (gap: PullGap | undefined) =>
  gap && gap.restedS > 0 ? ` The plates rest ${Math.round(gap.restedS / 60)} min before it.` : ''

function coldSteps(batch: Batch, shop: Workshop): Draft[] {
  const cold = batch.groups.filter(g => g.route.cold && batch.blades.some(b => b.groupId === g.id))
  const coldest = Math.min(...cold.map(g => g.route.cold?.toC ?? 20))
  const holdMin = Math.max(...cold.map(g => g.route.cold?.holdMin ?? 0))
  if (cold.length === 0) return []
  const marks = piecesOf(batch)
    .filter(p => p.group.route.cold)
    .map(p => p.mark)
  const base = { station: 'cold', ovenSetC: 0, pieces: marks }
  return [
    {
      ...base,
      kind: 'cold-in',
      title: `${marks.length} into the cold`,
      action: `${marks.length} in the cold`,
      detail: `${foilMarkLine(marks)}: gloves, face shield, door open, lid loose. To ${formatBoth(coldest, shop.units)}.`,
      wait: null,
    },
    {
      ...base,
      kind: 'cold-out',
      title: 'Hold cold',
      action: `${marks.length} out, to the rack`,
      detail: 'Then let them warm in still air until dry. Frost is water: wipe it off.',
      wait: { kind: 'seconds', seconds: holdMin * 60 + PACE.coldLagS },
    },
  ]
}

function temperSteps(loads: readonly TemperLoad[], shop: Workshop, batch: Batch): Draft[] {
  const oven = temperingOvenOf(shop, batch)
  return loads.flatMap((load, i): Draft[] => {
    const before = loads[i - 1]
    const setC = keyedC(oven, load.atC)
    const marks = load.pieces.map(p => p.mark)
    const name = `Temper ${load.round}`
    const thick = thickestMm(load.pieces.map(p => p.blade))
    const newRound = before !== undefined && load.round > before.round
    return [
      {
        kind: 'temper-start',
        station: 'temper',
        title: newRound ? 'Cool to room' : `${name}: oven on`,
        action: `Set ${formatBoth(setC, shop.units)}, oven on`,
        detail: newRound
          ? `Blades down to room temperature before ${name.toLowerCase()}.`
          : shop.temperingOven === 'same'
            ? 'The hardening oven must first have cooled below the temper.'
            : 'In the tempering oven.',
        wait: newRound
          ? { kind: 'seconds', seconds: PACE.coolBetweenMin * 60 }
          : shop.temperingOven === 'same'
            ? { kind: 'oven-below', atMostC: setC + AT_HEAT_WITHIN_K }
            : null,
        ovenSetC: 0,
        pieces: [],
      },
      {
        kind: 'temper-in',
        station: 'temper',
        title: `${name}: load ${marks.length}`,
        action: `${marks.length} in, shut`,
        detail: `${foilMarkLine(marks)}. The clock adds ${PACE.temperLagMin} min until ${formatQuantity(thick, 'length', shop.units)} is through.`,
        wait: { kind: 'oven', atLeastC: setC - AT_HEAT_WITHIN_K },
        ovenSetC: setC,
        pieces: marks,
      },
      {
        kind: 'temper-out',
        station: 'temper',
        title: `${name}: hold`,
        action: `${marks.length} out, cool in air`,
        detail: 'Down to room temperature before anything else.',
        wait: { kind: 'seconds', seconds: (load.holdMin + PACE.temperLagMin) * 60 },
        ovenSetC: setC,
        pieces: marks,
      },
    ]
  })
}
