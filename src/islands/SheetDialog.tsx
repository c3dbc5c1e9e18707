import { Dialog } from 'radix-ui'
import { type ReactNode, useRef } from 'react'

interface Props {
  readonly title: string
  /** The button that opens it; none where it is opened from elsewhere. */
  readonly trigger?: ReactNode
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  readonly children: ReactNode
}

/** A dialog in the middle of the page. */
export function SheetDialog({ title, trigger, open, onOpen, children }: Props) {
  // Where it has no button of its own it gives back to what was pressed.
  const opener = useRef<Element | null>(null)
  const wasOpen = useRef(false)
  if (open && !wasOpen.current) opener.current = document.activeElement
  wasOpen.current = open
  const giveBack = (event: Event) => {
    if (trigger || !(opener.current instanceof HTMLElement)) return
    event.preventDefault()
    opener.current.focus()
  }
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      {trigger && <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#1c1713]/60" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
          className="fixed top-1/2 left-1/2 z-40 max-h-[calc(100vh-24px)] w-[min(600px,calc(100vw-24px))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto bg-ash p-6 text-ink"
        >
          <Dialog.Title className="text-heading">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
