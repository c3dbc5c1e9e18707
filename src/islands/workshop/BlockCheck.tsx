import { useId, useState } from 'react'
import { blockUse, checksOf, type TesterCheck, testerDrift } from '../../core/hardness/tester'
import { parseReadings } from '../../core/rockwell/parse-readings'
import { BOUNDS, LONGEST } from '../../core/shop/bounds'
import type { Tester } from '../../core/shop/workshop'
import { ROCKWELL } from '../../data/rockwell'
import { NumberField, SelectField, TextField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { signedText } from '../../words/speaker'
import { newId } from '../batch/edit'
import { useShopNow } from '../shop-context'
import { useKeptText } from '../use-kept-text'
import type { EditShop } from './edit-shop'

interface Props {
  readonly edit: EditShop
}

const FIRST_BLOCK = { id: 'block-1', name: 'Test block', certifiedHrc: 60, certifiedSd: 0.3, holdsIndents: 200 }

/** A shop without a block sees the fields of one; it is kept with the first thing that is entered. */
const withBlock = (tester: Tester): Tester => (tester.blocks.length > 0 ? tester : { ...tester, blocks: [FIRST_BLOCK] })

/** Test blocks and the day's check: how far off the tester is, how it drifts, and whether to trust it. */
export default function BlockCheck({ edit }: Props) {
  const shop = useShopNow()
  const tester = withBlock(shop.tester)
  const [blockId, setBlockId] = useState(tester.blocks[0]?.id ?? '')
  const block = tester.blocks.find(b => b.id === blockId) ?? tester.blocks[0]
  // A change of what is stored, not of what is shown: a field that was left a moment ago may not be shown yet.
  const save = (change: (tester: Tester) => Tester) => edit(stored => ({ tester: change(withBlock(stored.tester)) }))
  if (!block) return null
  const use = blockUse(tester, block.id)
  const setBlock = (part: Partial<typeof block>) =>
    save(now => ({ ...now, blocks: now.blocks.map(b => (b.id === block.id ? { ...b, ...part } : b)) }))
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Block"
          value={block.id}
          options={[
            ...tester.blocks.map(b => [b.id, `${b.name}, ${b.certifiedHrc}`] as const),
            ['new', 'another block …'] as const,
          ]}
          onCommit={id => {
            if (id !== 'new') return setBlockId(id)
            const fresh = { ...FIRST_BLOCK, id: newId(), name: `Test block ${tester.blocks.length + 1}` }
            save(now => ({ ...now, blocks: [...now.blocks, fresh] }))
            setBlockId(fresh.id)
          }}
        />
        <TextField
          label="Name of the block"
          value={block.name}
          longest={LONGEST.blockName}
          onCommit={name => setBlock({ name })}
        />
        <NumberField
          label="Certified hardness"
          unit="HRC"
          value={block.certifiedHrc}
          {...BOUNDS.hrc}
          onCommit={certifiedHrc => setBlock({ certifiedHrc })}
        />
        <NumberField
          label="Certified spread"
          unit="HRC"
          value={block.certifiedSd}
          {...BOUNDS.certifiedSdHrc}
          onCommit={certifiedSd => setBlock({ certifiedSd })}
        />
        <NumberField
          label="Indents its face holds"
          value={block.holdsIndents}
          {...BOUNDS.blockIndents}
          whole
          onCommit={holdsIndents => setBlock({ holdsIndents })}
        />
        <SelectField
          label="Steps of the tester’s display"
          value={tester.dial ? 'dial' : 'digital'}
          options={[
            ['dial', 'a dial, half points'],
            ['digital', 'tenths'],
          ]}
          onCommit={v => save(now => ({ ...now, dial: v === 'dial' }))}
        />
      </div>
      <TodaysCheck
        onRecord={readings =>
          save(now => ({
            ...now,
            checks: [...now.checks, { id: newId(), blockId: block.id, at: new Date().toISOString(), readings }],
          }))
        }
      />
      <p className={`text-note ${use.full ? 'text-bad' : 'text-ink-2'}`}>
        {use.indents} indents in its face{use.full ? ': it is full. Turn to a new block; never to its back.' : ''}
      </p>
      <Checks
        tester={tester}
        onTakeOut={id => save(now => ({ ...now, checks: now.checks.filter(c => c.id !== id) }))}
      />
    </>
  )
}

function TodaysCheck({ onRecord }: { onRecord: (readings: number[]) => void }) {
  const say = useSay()
  const id = useId()
  const { text, set: setText } = useKeptText('check of the tester')
  const [trouble, setTrouble] = useState<string | null>(null)
  const record = () => {
    const parsed = parseReadings(text)
    if (!parsed.ok) return setTrouble(parsed.problems.map(found => problemWords(found, say)).join(' '))
    if (parsed.value.length > MOST) return setTrouble(`Up to ${MOST} readings make a check.`)
    setTrouble(null)
    setText('')
    onRecord(parsed.value)
  }
  return (
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
          placeholder="60 60.5 60"
          value={text}
          autoComplete="off"
          onChange={event => setText(event.target.value)}
          aria-invalid={trouble !== null}
          aria-describedby={trouble ? `${id}-p` : undefined}
        />
        <button type="submit" className="btn">
          Record
        </button>
      </div>
      {trouble && (
        <p id={`${id}-p`} role="alert" className="mt-1 text-small text-bad">
          {trouble}
        </p>
      )}
    </form>
  )
}

const dayOf = (check: TesterCheck) => check.at?.slice(0, 10) ?? 'unknown day'

const MOST = 10
const SHOWN = 5

function Checks({ tester, onTakeOut }: { tester: Tester; onTakeOut: (id: string) => void }) {
  const checks = checksOf(tester)
  const newest = checks.at(-1)
  const drift = testerDrift(checks)
  if (!newest) return null
  return (
    <>
      <p className="text-small">
        {newest.readings.join(', ')}: off by {signedText(newest.bias, 2)}, spread {newest.repeatability.toFixed(1)}.{' '}
        <strong className={newest.ok ? 'text-good' : 'text-bad'}>
          {newest.ok
            ? 'Fit to use; readings are corrected by it.'
            : `Out of limits (${ROCKWELL.permissibleErrorHrc} off, or too wide): have the tester adjusted before you trust a reading.`}
        </strong>
        {drift !== null && ` It drifts by ${signedText(drift, 2)} HRC a year.`}
      </p>
      <ul className="text-note">
        {[...checks]
          .reverse()
          .slice(0, SHOWN)
          .map(check => (
            <li key={check.id} className="flex items-baseline gap-3 border-t border-rule py-0.5">
              <span className="text-ink-2">{dayOf(check)}</span>
              <span className="flex-1">
                {check.block}: {signedText(check.bias, 2)}, spread {check.repeatability.toFixed(1)}
                {check.ok ? '' : ', out of limits'}
              </span>
              <button
                type="button"
                className="link min-h-row"
                aria-label={`Remove the check of ${dayOf(check)}`}
                onClick={() => onTakeOut(check.id)}
              >
                remove
              </button>
            </li>
          ))}
      </ul>
    </>
  )
}
