import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'
import { OPENS_CLASS } from './opens-class'

export interface SidePopoverProps {
  /** One word on the button, and its full name for those who do not see what it stands beside. */
  readonly word: string
  readonly label: string
  readonly title: string
  readonly width: 'narrow' | 'wide'
  readonly children: ReactNode
}

const WIDTHS = { narrow: 'w-[min(340px,calc(100vw-24px))]', wide: 'w-[min(560px,calc(100vw-24px))]' } as const

/** On a window narrower than this there is no room beside the word, px. */
const NARROW_PX = 700

/** A word with what it opens to, open from the first. */
export default function SidePopover({ word, label, title, width, children }: SidePopoverProps) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={OPENS_CLASS} aria-label={label}>
        {word}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side={window.innerWidth < NARROW_PX ? 'bottom' : 'left'}
          align="start"
          collisionPadding={12}
          className={`z-30 max-h-[min(80vh,var(--radix-popover-content-available-height))] ${WIDTHS[width]} overflow-auto border border-rule-strong bg-raised p-4 text-ink`}
          aria-label={label}
        >
          <h3 className="mb-1.5">{title}</h3>
          {children}
          <Popover.Close className="btn mt-3">Close</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
