import { Popover } from 'radix-ui'
import { workingValue, workingWords } from '../words/working'
import { useSay } from './Units'
import { WORKING_CLASS, type WorkingProps } from './working-trigger'

/** A figure's inputs, equations and sources, open from the first. */
export default function WorkingPopover({ of, lines, note }: WorkingProps) {
  const say = useSay()
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={WORKING_CLASS} aria-label={`Working of ${of}`}>
        working
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          collisionPadding={12}
          className="z-30 max-h-[80vh] w-[min(560px,calc(100vw-24px))] overflow-auto border border-rule-strong bg-raised p-4 text-ink"
          aria-label={`Working of ${of}`}
        >
          <h3 className="mb-2">{of}</h3>
          <dl className="text-small">
            {lines.map((line, i) => {
              const { name, equation, source } = workingWords(line, say)
              return (
                <div
                  key={`${line.code} ${i}`}
                  className="grid grid-cols-[1fr_auto] gap-x-4 border-t border-rule py-1.5"
                >
                  <dt>{name}</dt>
                  <dd className="text-right font-medium">{workingValue(line, say)}</dd>
                  <dd className="col-span-2 text-ink-2">{equation}</dd>
                  <dd className="col-span-2 text-note text-ink-2 italic">{source}</dd>
                </div>
              )
            })}
          </dl>
          {note && <p className="mt-2 border-t border-rule pt-2 text-small">{note}</p>}
          <Popover.Close className="btn mt-3">Close</Popover.Close>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
