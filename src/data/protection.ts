/** Figures of the ways to keep air from the steel. Common practice, no published source, unless said; prices are the shop's own. */
export const PROTECTION = {
  /** Dearness of the hotter foil over the ordinary one. */
  hotFoilFactor: 2.2,
  coat: { dryingH: 2, cleaningHPerBlade: 0.5, finishGrit: 120 },
  bare: { cleaningHPerBlade: 2.5 },
  foil: { wrappingHPerBlade: 0.12, cleaningHPerBlade: 0.1 },
  argon: { wrappingHPerBlade: 0.15, cleaningHPerBlade: 0.05, denserThanAir: 1.38 },
  /** Argon led through the oven: litres a minute, from entry to the last pull; a bench oven leaks, so the skin still suffers a little. */
  argonOven: { litresPerMin: 8, minutes: 90, cleaningHPerBlade: 1 },
  vacuum: { daysAway: 10 },
  /** Carbon in austenite, D = D0·exp(−Q/RT). Source: textbook values, from memory. */
  carbonDiffusion: { d0M2PerS: 2.3e-5, qJPerMol: 148_000, source: 'diffusion of carbon in austenite, textbook, from memory' },
  prices: { coatPerM2: 12, argonPerPacket: 0.6, argonPerM3: 18, vacuumPerBlade: 14, abrasivesPerBareBlade: 3, hour: 25 },
} as const

/** Share of the bare blade's decarburised skin that forms under each protection. */
export const SKIN_SHARE: Readonly<Record<ProtectionName, number>> = {
  foil: 0.1,
  argon: 0.05,
  'argon-oven': 0.3,
  coat: 0.25,
  bare: 1,
  vacuum: 0,
}

export const PROTECTION_NAMES = ['foil', 'argon', 'argon-oven', 'coat', 'bare', 'vacuum'] as const
export type ProtectionName = (typeof PROTECTION_NAMES)[number]

/** Additions to the packet, and why none is the default. */
export const IN_PACKET: readonly { readonly what: string; readonly why: string }[] = [
  { what: 'nothing', why: 'The default: what little air is left scales hardly at all.' },
  { what: 'talc, wiped on', why: 'Keeps a very smooth blade from sticking to the foil. Keep the dust out of your breath.' },
  { what: 'a scrap of paper or wood', why: 'Burns the air away; by the tang, behind foil: it can stain a blade, or bend it by lying under it.' },
  { what: 'argon, poured in', why: 'Heavier than air, it stays while the last fold is rolled. In a closed room it takes the place of what you breathe.' },
]
