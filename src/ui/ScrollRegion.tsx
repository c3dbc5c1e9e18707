import type { ReactNode, Ref } from 'react'

interface Props {
  readonly label: string
  readonly className: string
  readonly children: ReactNode
  readonly ref?: Ref<HTMLElement>
}

/** A part that scrolls by itself: it can be reached and scrolled by keyboard, and says what it is. */
export const ScrollRegion = ({ label, className, children, ref }: Props) => (
  // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must take the focus, or keys cannot scroll it (WCAG 2.1.1).
  <section ref={ref} aria-label={label} className={`relative ${className}`} tabIndex={0}>
    {children}
  </section>
)
