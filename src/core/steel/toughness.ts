import type { Prediction } from './predict'

/** Toughness tendency, 0..1: less carbide and less hardness are tougher. A tendency, not a measured toughness. */
export function toughnessTendency(p: Pick<Prediction, 'austenite' | 'finalHrc' | 'grainPinning'>): number {
  const { carbideFraction, mcFraction, m6cFraction } = p.austenite
  const carbide = Math.min(1, (carbideFraction + mcFraction + m6cFraction) / 0.18)
  const hard = Math.min(1, Math.max(0, (p.finalHrc.mean - 54) / 12))
  const grain = p.grainPinning < 1 ? 0.3 : 0
  return Math.max(0, 1 - 0.5 * carbide - 0.5 * hard - grain)
}
