import { Popover } from 'radix-ui'
import { GLOSSARY, type TermName } from '../words/glossary'
import { inUnits } from '../words/marked'
import { useSay } from './Units'

/** Opens a term of the trade to what it means. */
export function Explain({ term }: { term: TermName }) {
  const say = useSay()
  const { term: name, says } = GLOSSARY[term]
  return (
    <Popover.Root>
      <Popover.Trigger
        className="link -my-3 min-h-touch shrink-0 px-1 text-note text-ink-2 hover:text-ink"
        aria-label={`What is this: ${name}`}
      >
        explain
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          collisionPadding={12}
          className="z-30 w-[min(340px,calc(100vw-24px))] border border-rule-strong bg-raised p-4 text-ink"
          aria-label={name}
        >
          <h3 className="mb-1">{name}</h3>
          <p className="text-small">{inUnits(says, say)}</p>
          <Popover.Close className="btn mt-3">Close</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
