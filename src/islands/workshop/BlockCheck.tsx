import { useId, useState } from 'react'
import type { Workshop } from '../../core/record/schemas'
import { parseReadings } from '../../core/rockwell/parse-readings'
import { verifyTester } from '../../core/rockwell/readings'
import { NumberField } from '../../ui/PlainFields'

/** The day's readings on a test block: how far off the tester is, and whether to trust it. */
export default function BlockCheck({ shop, edit }: { shop: Workshop; edit: (part: Partial<Workshop>) => void }) {
  const id = useId()
  const [text, setText] = useState('')
  const [trouble, setTrouble] = useState<string | null>(null)
  const { block } = shop
  const certified = block ?? { certifiedHrc: 60, certifiedSd: 0.3, readings: [] }
  const check = block && block.readings.length > 0 ? verifyTester(block) : null
  const record = () => {
    const parsed = parseReadings(text)
    if (!parsed.ok) return setTrouble(parsed.problems.map(p => p.message).join(' '))
    setTrouble(null)
    setText('')
    edit({ block: { ...certified, readings: parsed.value.slice(0, 10) } })
  }
  return (
    <>
      <NumberField
        label="Block is certified at"
        unit="HRC"
        value={certified.certifiedHrc}
        min={20}
        max={70}
        onCommit={certifiedHrc =>
          edit({
            block: { ...certified, readings: block?.readings.length ? block.readings : [certifiedHrc], certifiedHrc },
          })
        }
      />
      <form
        onSubmit={event => {
          event.preventDefault()
          record()
        }}
      >
        <label htmlFor={id} className="label">
          Today’s readings on it
        </label>
        <div className="flex gap-2">
          <input
            id={id}
            className="field"
            placeholder={block?.readings.join(' ') ?? '60 60.5 60'}
            value={text}
            autoComplete="off"
            onChange={event => setText(event.target.value)}
            aria-invalid={trouble !== null}
          />
          <button type="submit" className="btn">
            Record
          </button>
        </div>
        {trouble && (
          <p role="alert" className="mt-1 text-[13px] text-bad">
            {trouble}
          </p>
        )}
      </form>
      {check && (
        <p className="text-[13px]">
          {block?.readings.join(', ')}: off by {check.bias >= 0 ? '+' : '−'}
          {Math.abs(check.bias).toFixed(2)}, spread {check.repeatability.toFixed(1)}.{' '}
          <strong className={check.ok ? 'text-good' : 'text-bad'}>
            {check.ok
              ? 'Fit to use; readings are corrected by it.'
              : 'Out of limits: have it set right before you trust a reading.'}
          </strong>
        </p>
      )}
    </>
  )
}
