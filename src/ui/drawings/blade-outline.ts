/** Share of a blade's length that is tang, in the plain outline drawn where none was given. */
const TANG_SHARE = 0.33

/**
 * Outline of a plain blade lying along x, spine up, as an SVG path in mm: tang left, tip right. The exact shape is
 * not known from length and width; it is a drawing, never a measurement.
 */
export function bladeOutline(lengthMm: number, widthMm: number): string {
  const heel = lengthMm * TANG_SHARE
  const tang = widthMm * 0.55
  return [
    `M0 ${widthMm * 0.08}`,
    `L${heel} 0`,
    `L${lengthMm * 0.72} 0`,
    `Q${lengthMm * 0.93} ${widthMm * 0.1} ${lengthMm} ${widthMm * 0.62}`,
    `Q${lengthMm * 0.9} ${widthMm} ${lengthMm * 0.74} ${widthMm}`,
    `L${heel + widthMm * 0.12} ${widthMm}`,
    `L${heel} ${widthMm * 0.9}`,
    `L${heel - widthMm * 0.1} ${tang + widthMm * 0.06}`,
    `L0 ${tang}`,
    'Z',
  ].join(' ')
}
