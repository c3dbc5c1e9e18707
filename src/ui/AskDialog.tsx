import { AlertDialog } from 'radix-ui'
import type { ReactNode } from 'react'

export interface AskProps {
  readonly title: string
  readonly says: string
  readonly act: string
  readonly onAct: () => Promise<void>
  /** Content of the button. */
  readonly children: ReactNode
}

/** The button with its question, asked from the first. */
export default function AskDialog({ title, says, act, onAct, children }: AskProps) {
  return (
    <AlertDialog.Root defaultOpen>
      <AlertDialog.Trigger className="btn">{children}</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-30 bg-[#1c1713]/60" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-40 w-[min(440px,calc(100vw-24px))] -translate-x-1/2 -translate-y-1/2 bg-ash p-6 text-ink">
          <AlertDialog.Title className="text-heading">{title}</AlertDialog.Title>
          <AlertDialog.Description className="my-3">{says}</AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <AlertDialog.Cancel className="btn">Cancel</AlertDialog.Cancel>
            <AlertDialog.Action className="btn btn-ember" onClick={() => void onAct()}>
              {act}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
