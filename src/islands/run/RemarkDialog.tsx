import { Dialog } from 'radix-ui'
import { LONGEST } from '../../core/shop/bounds'
import { useKeptText } from '../../ui/kept-text'

/** A remark for the log, while the clocks go on. */
export function RemarkDialog({
  runId,
  open,
  onClose,
  onRemark,
}: {
  runId: string
  open: boolean
  onClose: () => void
  onRemark: (text: string) => void
}) {
  const { text, set: setText } = useKeptText(`remark ${runId}`)
  const keep = () => {
    if (text.trim()) onRemark(text.trim())
    setText('')
    onClose()
  }
  return (
    <Dialog.Root open={open} onOpenChange={next => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#000]/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-4 bottom-4 z-40 bg-soot-2 p-6 text-bone md:inset-x-40"
        >
          <Dialog.Title className="text-title">Remark for the log</Dialog.Title>
          <form
            className="mt-3 flex gap-3"
            onSubmit={event => {
              event.preventDefault()
              keep()
            }}
          >
            <input
              aria-label="Remark"
              className="min-h-[72px] flex-1 border-2 border-bone-2 bg-soot px-4 text-title"
              maxLength={LONGEST.remark}
              value={text}
              onChange={event => setText(event.target.value)}
            />
            <button type="submit" className="run-action !w-auto">
              Keep
            </button>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
