import { ROCKWELL } from '../../data/rockwell'

export interface IndentRules {
  readonly depthMm: number
  readonly diameterMm: number
  readonly minimumThicknessMm: number
  readonly minimumSpacingMm: number
  readonly minimumEdgeMm: number
}

/**
 * Depth, diameter and the distances a Rockwell C indent needs, mm.
 * Source: ISO 6508-1 (depth, thickness, spacing); diameter from the cone with its spherical tip, 0 < HRC < 100.
 * @example indentRules(60).minimumThicknessMm // 0.8
 */
export function indentRules(hrc: number): IndentRules {
  const r = ROCKWELL
  const depthMm = (r.fullScale - hrc) * r.depthPerPointMm
  const diameterMm = 2 * indentRadiusMm(depthMm)
  return {
    depthMm,
    diameterMm,
    minimumThicknessMm: r.thicknessPerDepth * depthMm,
    minimumSpacingMm: r.spacingPerDiameter * diameterMm,
    minimumEdgeMm: r.edgePerDiameter * diameterMm,
  }
}

/** Radius at the surface: a sphere to where the cone touches it, the cone beyond. */
function indentRadiusMm(depthMm: number): number {
  const half = ((ROCKWELL.coneAngleDeg / 2) * Math.PI) / 180
  const tip = ROCKWELL.tipRadiusMm
  const tangentDepth = tip * (1 - Math.sin(half))
  if (depthMm <= tangentDepth) return Math.sqrt(2 * tip * depthMm - depthMm ** 2)
  return tip * Math.cos(half) + (depthMm - tangentDepth) * Math.tan(half)
}
