import { Children, type ReactNode } from 'react'
import type { Caution } from '../core/codes/caution'
import type { WorkingLine } from '../core/codes/working'
import { cautionWords } from '../words/cautions'
import type { TermName } from '../words/glossary'
import { GLOSSARY } from '../words/glossary'
import { inUnits } from '../words/marked'
import type { Trust } from '../words/trust'
import { Opens } from './Opens'
import { useSay } from './Units'
import { Working } from './Working'

/** Opens a term of the trade to what it means. */
function Explain({ term }: { term: TermName }) {
  const say = useSay()
  const { term: name, says } = GLOSSARY[term]
  return (
    <Opens word="explain" label={`What is this: ${name}`} title={name} width="narrow">
      <p className="text-small">{inUnits(says, say)}</p>
    </Opens>
  )
}

interface BenchProps {
  readonly title: string
  readonly says: string
  /** Other ways to draw the thing, at the right of the title. */
  readonly views?: ReactNode
  /** The thing itself, drawn to scale. */
  readonly drawing: ReactNode
  /** The few figures that matter, and the next action. */
  readonly figures: ReactNode
  /** Exact fields. */
  readonly fields?: ReactNode
}

/** The one layout of every stage: the thing on the left, its figures on the right, exact fields below. */
export function Bench({ title, says, views, drawing, figures, fields }: BenchProps) {
  return (
    <section
      aria-label={title}
      className="grid gap-x-10 gap-y-4 px-4 py-4 md:px-6 lg:grid-cols-[minmax(0,1fr)_minmax(300px,360px)]"
    >
      <div className="min-w-0">
        <header className={`${views ? 'mb-1' : 'mb-3'} flex flex-wrap items-baseline gap-x-6 gap-y-1`}>
          <h2 className="text-heading">{title}</h2>
          <p className="min-w-60 flex-1 text-small text-ink-2">{says}</p>
          {views}
        </header>
        {drawing}
        {fields && (
          <div id="fields" tabIndex={-1} className="mt-4 focus:outline-none">
            {fields}
          </div>
        )}
      </div>
      <div className="min-w-0 lg:pt-1">{figures}</div>
    </section>
  )
}

export interface FigureProps {
  readonly label: string
  readonly value: string
  readonly unit: string
  readonly working?: readonly WorkingLine[] | undefined
  readonly note?: string | undefined
  readonly tone?: 'ice'
  /** The term of the trade that the label stands on. */
  readonly term?: TermName
  /** How far to trust it. */
  readonly trust?: Trust | undefined
}

/** A figure with its unit, band and working. */
export function Figure({ label, value, unit, working, note, tone, term, trust }: FigureProps) {
  return (
    <div data-figure className="border-t border-rule py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <p className="text-note text-ink-2">{label}</p>
        {trust && (
          <span className="trust" title={trust.says}>
            {trust.mark}
          </span>
        )}
      </div>
      <div className="flex flex-wrap items-end justify-between gap-x-3">
        <p className={tone === 'ice' ? 'text-ice' : undefined}>
          <span className="figure text-figure whitespace-nowrap">{value}</span>{' '}
          <span className="text-body text-ink-2">{unit}</span>
        </p>
        <span className="ml-auto flex shrink-0 gap-2">
          {term && <Explain term={term} />}
          {working && <Working of={label} lines={working} note={[trust?.says, note].filter(Boolean).join(' ')} />}
        </span>
      </div>
    </div>
  )
}

/** The usual caution, where the danger is. */
export function CautionNote({ children }: { children: ReactNode }) {
  const say = useSay()
  return (
    <div role="note" className="caution my-3">
      {Children.map(children, child => (typeof child === 'string' ? inUnits(child, say) : child))}
    </div>
  )
}

/** A warning of a bench's own, already in words. */
interface Warning {
  readonly code: string
  readonly message: string
}

/** The trouble beside the figure that causes it. */
export function Warnings({ lines }: { lines: readonly (Caution | Warning)[] }) {
  const say = useSay()
  if (lines.length === 0) return null
  return (
    <ul className="my-2 space-y-1.5">
      {lines.map((line, i) => (
        <li key={`${line.code} ${i}`} className="border-l-3 border-bad pl-3 text-small">
          <strong className="text-bad">Attention: </strong>
          {'message' in line ? line.message : cautionWords(line, say)}
        </li>
      ))}
    </ul>
  )
}
