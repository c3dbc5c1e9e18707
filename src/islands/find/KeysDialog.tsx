import { Dialog } from 'radix-ui'
import { useSay } from '../../ui/Units'
import { GLOSSARY } from '../../words/glossary'
import { keysAt } from '../../words/keys'
import { inUnits } from '../../words/marked'
import { SheetDialog } from '../SheetDialog'

/** Every term of the trade that the product uses. */
function Glossary() {
  const say = useSay()
  return (
    <section className="mt-5">
      <h3 className="text-lead">Terms</h3>
      <dl className="mt-1">
        {Object.values(GLOSSARY).map(({ term, says }) => (
          <div key={term} className="grid gap-x-4 border-t border-rule py-1.5 sm:grid-cols-[180px_1fr]">
            <dt className="font-semibold">{term}</dt>
            <dd className="text-small">{inUnits(says, say)}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}

/** The keys of the view that is open, and the terms of the trade. */
export default function KeysDialog({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  return (
    <SheetDialog title="Keys of this view, and terms" open={open} onOpen={onOpen}>
      <table className="sheet mt-3">
        <caption className="sr-only">Keys and what they do</caption>
        <tbody>
          {keysAt(location.pathname).map(({ keys, does }) => (
            <tr key={does}>
              <th scope="row" className="w-44 whitespace-nowrap !text-ink">
                {keys.map((key, i) => (
                  <span key={key}>
                    {i > 0 && ' or '}
                    <kbd className="rounded-[3px] border border-rule-strong px-1.5 font-sans font-semibold">{key}</kbd>
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
    </SheetDialog>
  )
}
