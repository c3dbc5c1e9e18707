import type { Figure as FigureObject } from '../core/codes/figure'
import { figureWords } from '../words/figures'
import { Figure, type FigureProps } from './Bench'
import { useSay } from './Units'

interface FigureOfProps extends Pick<FigureProps, 'note' | 'tone' | 'term' | 'trust'> {
  readonly of: FigureObject
  /** Says more than the unit does. */
  readonly says?: string
}

/** Shows a figure object: its name, value and interval as the registry words them, and its working. */
export function FigureOf({ of, says = '', ...rest }: FigureOfProps) {
  const say = useSay()
  const { name, value, unit } = figureWords(of, say)
  return (
    <Figure
      label={name}
      value={value}
      unit={[unit, says].filter(Boolean).join(', ')}
      working={[of, ...of.grounds]}
      {...rest}
    />
  )
}
