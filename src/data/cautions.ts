import type { StationName } from './stations'

/** The usual caution at each step, temperatures in braces. Local codes, the supplier's safety sheet and licensed trades come first. */
export const CAUTIONS: Readonly<Partial<Record<StationName, string>>> = {
  prepare: 'Grinding dust: respirator and eye shield. Solvents for degreasing: open door, no sparks, and read the safety sheet first.',
  wrap: 'Foil edges cut like blades: wear cut-proof gloves, and shear rather than tear. Keep talc dust out of your breath.',
  heat: 'Up to {1100C}: face shield, heat gauntlets, no synthetic clothes, nothing that burns within arm’s reach. Cut the power before reaching in. Mains wiring is for a licensed electrician.',
  plates: 'Plates and packets burn long after the glow is gone. Gauntlets, face shield, ear defenders for the air. Close the vice at once: a blade lying on one plate bends.',
  inspect: 'Hard and untempered: a blade can crack or snap when bent cold. Eye shield on, and mind the edge while opening foil.',
  cold: 'Dry ice and liquid nitrogen freeze skin and drive out the air: cryogenic gloves, face shield, doors open, never a sealed container. Alcohol vapour stays away from oven and sparks.',
  temper: '{200C} looks cold and burns: gloves. A household oven used for blades is not used for food with solvent residues on them.',
  measure: 'A hard blade may chip under the tester: eye shield, edge guarded.',
  finish: 'Wet sanding is kinder: respirator, eye shield, and no gloves near a belt or wheel.',
  prove: 'Edge tests: cut away from yourself, edge guarded when the blade is set down.',
}

/** At the quench tank. */
export const OIL_CAUTION =
  'Hot oil burns, and so does its vapour: keep it well below the flash point on its safety sheet, in a steel tank with a lid at hand, and an extinguisher for burning oil beside it, never water. Not a drop of water in or under it. Face shield, gauntlets, natural cloth; outdoors, or the air drawn off. The whole blade goes under at once.'

export const DEFER = 'Local codes, the supplier’s safety sheet and licensed trades come first.'
