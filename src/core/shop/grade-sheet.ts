import { z } from 'zod'
import { CORROSION_CLASSES, ELEMENTS, type Element, GRADE_FAMILIES, QUENCH_NEEDS } from '../../data/grades'
import { BOUNDS, bounded, id, textUpTo } from './bounds'
import { rule } from './problems'
import type { ReadOnly } from './read-only'

const percent = z.number().min(0).max(40)

/** More alloy than this is no martensitic steel, wt%. */
const MOST_ALLOY = 60

const alloyParts = Object.fromEntries(
  ELEMENTS.filter(element => element !== 'C').map(element => [element, percent.optional()]),
) as Record<Exclude<Element, 'C'>, z.ZodOptional<typeof percent>>

export const compositionSchema = z
  .object({ C: z.number().min(0.05).max(3.5), ...alloyParts })
  .refine(
    parts => Object.values(parts).reduce((sum: number, part) => sum + (part ?? 0), 0) <= MOST_ALLOY,
    rule('more-than-the-whole'),
  )

const rangeSchema = z
  .partialRecord(z.enum(ELEMENTS), z.tuple([percent, percent]))
  .refine(
    ranges => Object.values(ranges).every(range => range === undefined || range[0] <= range[1]),
    rule('least-above-most'),
  )

export const chartSchema = z
  .object({
    reference: z.object({
      austenitizeC: bounded('austenitizeC'),
      soakMin: bounded('soakMin'),
      quenchedToC: z.number().min(-30).max(200),
      coldToC: bounded('coldC').nullable(),
      temperHoldMin: bounded('holdMin'),
      temperCount: z.int().min(1).max(4),
    }),
    points: z.array(z.tuple([bounded('temperC'), bounded('hrc')])).max(60),
    source: textUpTo('source'),
  })
  .refine(
    chart => chart.points.every(([c], i) => i === 0 || c > (chart.points[i - 1]?.[0] ?? 0)),
    rule('chart-not-rising', ['points']),
  )

const sourced = <T extends z.ZodRawShape>(shape: T) => z.object({ ...shape, source: textUpTo('source') })

/** A grade of the maker's own, from a supplier's sheet: the same shape as a shipped one. */
export const gradeSheetSchema = z.object({
  /** What everything planned for it hangs on; its name may change. */
  id,
  name: textUpTo('gradeName').min(1),
  alsoNamed: z.array(textUpTo('gradeName')).max(8),
  family: z.enum(GRADE_FAMILIES),
  made: z.enum(['ingot', 'powder']),
  nominal: compositionSchema,
  range: rangeSchema,
  compositionSource: textUpTo('source'),
  austenitize: sourced({
    minC: bounded('austenitizeC'),
    maxC: bounded('austenitizeC'),
    defaultC: bounded('austenitizeC'),
  }).refine(
    window => window.minC <= window.defaultC && window.defaultC <= window.maxC,
    rule('usual-outside-window', ['defaultC']),
  ),
  soak: sourced({ minMin: bounded('soakMin'), maxMin: bounded('soakMin') }).refine(
    soak => soak.minMin <= soak.maxMin,
    rule('most-below-least', ['minMin']),
  ),
  equalise: z
    .array(z.object({ atC: z.number().min(200).max(BOUNDS.austenitizeC.max), holdMin: bounded('holdMin') }))
    .max(4),
  temper: sourced({ minC: bounded('temperC'), maxC: bounded('temperC') }).refine(
    range => range.minC < range.maxC,
    rule('most-below-least', ['minC']),
  ),
  quench: sourced({ slowest800to500S: z.number().min(0.1).max(10_000), needs: z.enum(QUENCH_NEEDS) }),
  cold: z.object({ advice: z.enum(['worth it', 'optional', 'no use']), why: textUpTo('source') }),
  chart: chartSchema.nullable(),
  a1: sourced({ c: z.number().min(600).max(1000) }),
  anneal: sourced({
    atC: bounded('austenitizeC'),
    holdMin: bounded('holdMin'),
    coolCPerH: z.number().min(1).max(200),
    downToC: z.number().min(300).max(800),
  }),
  stressRelief: sourced({ atC: z.number().min(300).max(750), holdMin: bounded('holdMin') }),
  corrosionClass: z.enum(CORROSION_CLASSES),
  usualTarget: z
    .object({ minHrc: bounded('hrc'), maxHrc: bounded('hrc') })
    .refine(t => t.minHrc < t.maxHrc, rule('target-upside-down', ['minHrc'])),
  note: textUpTo('why'),
})

export type GradeSheet = ReadOnly<z.infer<typeof gradeSheetSchema>>
