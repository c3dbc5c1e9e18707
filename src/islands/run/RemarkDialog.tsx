import { Dialog } from 'radix-ui'
import { LONGEST } from '../../core/shop/bounds'
import { USUAL_REMARKS } from '../../words/remarks'
import { useKeptText } from '../use-kept-text'

/** A remark for the log, typed or tapped from what is noted most, while the clocks go on. */
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
          className="fixed inset-x-4 bottom-4 z-40 bg-soot-2 p-6 text-bone md:inset-x-10"
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
          <ul aria-label="Usual remarks" className="mt-3 grid gap-1 sm:grid-cols-2 lg:grid-cols-4">
            {USUAL_REMARKS.map(usual => (
              <li key={usual}>
                <button
                  type="button"
                  className="min-h-[72px] w-full border-2 border-soot-rule px-3 text-left text-lead"
                  onClick={() => {
                    onRemark(usual)
                    onClose()
                  }}
                >
                  {usual}
                </button>
              </li>
            ))}
          </ul>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
