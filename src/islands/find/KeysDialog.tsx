import { Dialog } from 'radix-ui'
import { keysAt } from '../../words/keys'
import { Glossary } from './Glossary'

/** The keys of the view that is open, and the terms of the trade. */
export default function KeysDialog({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#1c1713]/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 max-h-[calc(100vh-24px)] w-[min(680px,calc(100vw-24px))] -translate-x-1/2 -translate-y-1/2 overflow-y-auto bg-ash p-6 text-ink"
        >
          <Dialog.Title className="text-heading">Keys of this view, and terms</Dialog.Title>
          <table className="sheet mt-3">
            <caption className="sr-only">Keys and what they do</caption>
            <tbody>
              {keysAt(location.pathname).map(({ keys, does }) => (
                <tr key={does}>
                  <th scope="row" className="w-44 whitespace-nowrap !text-ink">
                    {keys.map((key, i) => (
                      <span key={key}>
                        {i > 0 && ' or '}
                        <kbd className="rounded-[3px] border border-rule-strong px-1.5 font-sans font-semibold">
                          {key}
                        </kbd>
                      </span>
                    ))}
                  </th>
                  <td>{does}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Glossary />
          <div className="mt-4 flex gap-2">
            <Dialog.Close className="btn">Close</Dialog.Close>
            <a className="btn" href="/wall">
              The whole job on a sheet
            </a>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
