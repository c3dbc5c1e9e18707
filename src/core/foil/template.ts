import { ok, type Result } from '../codes/result'
import { type BladeSize, contentsOf, type EnvelopeRules, envelopeOf, seamMm } from './envelope'

/** A line of a fold template, mm, from the sheet's own corner. */
export interface TemplateLine {
  readonly kind: 'cut' | 'fold' | 'seam' | 'blade'
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

/** Note on a template: where the blade lies, and which sheet it is. */
export type TemplateNote =
  | { readonly code: 'spine-on-fold' | 'blade' }
  | {
      readonly code: 'sheet'
      readonly lengthMm: number
      readonly widthMm: number
      readonly folds: number
      readonly foldMm: number
      readonly sheets: 1 | 2
    }

/** One sheet laid flat: where it is cut, folded in half, rolled, and where the blade lies. mm. */
export interface FoldTemplate {
  readonly lengthMm: number
  readonly widthMm: number
  readonly sheets: 1 | 2
  readonly lines: readonly TemplateLine[]
  /** Corner of each blade, tang left, spine toward the fold. */
  readonly blades: readonly { readonly x: number; readonly y: number }[]
  readonly notes: readonly { readonly x: number; readonly y: number; readonly note: TemplateNote }[]
}

/** Template of an envelope. Errors as envelopeOf. */
export function foldTemplate(blade: BladeSize, rules: EnvelopeRules): Result<FoldTemplate> {
  const envelope = envelopeOf(blade, rules)
  if (!envelope.ok) return envelope
  const { lengthMm, widthMm, sheets } = envelope.value
  const inside = contentsOf(blade, rules)
  const way = rules.way ?? 'spine'
  const lines: TemplateLine[] = rectangle('cut', 0, 0, lengthMm, widthMm)
  const across = (kind: TemplateLine['kind'], x: number): TemplateLine => ({ kind, x1: x, y1: 0, x2: x, y2: widthMm })
  const along = (kind: TemplateLine['kind'], y: number): TemplateLine => ({ kind, x1: 0, y1: y, x2: lengthMm, y2: y })
  for (let n = 1; n <= rules.folds; n++) {
    const roll = n * rules.foldMm
    // Ends are rolled at both, but for a tip fold, where the far end is the fold itself.
    lines.push(across('seam', roll), across('seam', lengthMm - roll))
    lines.push(along('seam', roll), along('seam', widthMm - roll))
  }
  const seam = seamMm(rules)
  const bladeX = rules.endMm + seam
  const half = inside.thicknessMm / 2
  if (way === 'spine') lines.push(along('fold', widthMm / 2))
  if (way === 'tip') lines.push(across('fold', lengthMm / 2))
  const bladeY = way === 'spine' ? widthMm / 2 + half : seam + rules.edgeMm + half
  lines.push(...rectangle('blade', bladeX, bladeY, inside.lengthMm, inside.widthMm))
  const { beside = 1, endToEnd = 1, gapMm = 3 } = rules
  const blades = Array.from({ length: beside * endToEnd }, (_, i) => ({
    x: bladeX + Math.floor(i / beside) * (blade.lengthMm + gapMm),
    y: bladeY + (i % beside) * (blade.widthMm + gapMm),
  }))
  const notes: FoldTemplate['notes'] = [
    { x: bladeX + 4, y: bladeY + inside.widthMm / 2, note: { code: way === 'spine' ? 'spine-on-fold' : 'blade' } },
    { x: 4, y: 5, note: { code: 'sheet', lengthMm, widthMm, folds: rules.folds, foldMm: rules.foldMm, sheets } },
  ]
  return ok({ lengthMm, widthMm, sheets, lines, blades, notes })
}

const rectangle = (kind: TemplateLine['kind'], x: number, y: number, w: number, h: number): TemplateLine[] => [
  { kind, x1: x, y1: y, x2: x + w, y2: y },
  { kind, x1: x + w, y1: y, x2: x + w, y2: y + h },
  { kind, x1: x + w, y1: y + h, x2: x, y2: y + h },
  { kind, x1: x, y1: y + h, x2: x, y2: y },
]

const DASH: Readonly<Record<TemplateLine['kind'], string>> = { cut: '', fold: '6 3', seam: '1.5 2', blade: '0.5 2.5' }

/** The template as SVG, one unit to the millimetre, sized in mm so that it prints 1:1. */
export function templateSvg(
  { lengthMm, widthMm, lines, notes }: FoldTemplate,
  noteText: (note: TemplateNote) => string,
): string {
  const drawn = lines.map(
    l =>
      `<line x1="${l.x1}" y1="${l.y1}" x2="${l.x2}" y2="${l.y2}" stroke="black" stroke-width="${l.kind === 'cut' ? 0.4 : 0.2}"${DASH[l.kind] ? ` stroke-dasharray="${DASH[l.kind]}"` : ''} class="${l.kind}"/>`,
  )
  const said = notes.map(
    n => `<text x="${n.x}" y="${n.y}" font-size="4" font-family="sans-serif">${noteText(n.note)}</text>`,
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${lengthMm}mm" height="${widthMm}mm" viewBox="0 0 ${lengthMm} ${widthMm}">${drawn.join('')}${said.join('')}</svg>\n`
}
