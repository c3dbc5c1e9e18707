import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** A question over the run, with its list of choices ready for the one key. Without `onClose` it stands until it is answered. */
export function RunDialog({ title, onClose, children }: { title: string; onClose?: () => void; children: ReactNode }) {
  return (
    <Dialog.Root open onOpenChange={open => !open && onClose?.()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#000]/70" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-2 bottom-[max(8px,env(safe-area-inset-bottom))] z-40 max-h-[94dvh] overflow-y-auto bg-soot-2 p-4 text-bone md:inset-x-10 md:bottom-6 md:p-6"
          onOpenAutoFocus={event => {
            event.preventDefault()
            if (event.target instanceof HTMLElement)
              event.target.querySelector<HTMLElement>('[role="listbox"]')?.focus()
          }}
        >
          <Dialog.Title className="mb-3 text-title">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
