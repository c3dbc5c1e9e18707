import type { Batch, BatchGroup, Reading } from '../../../../core/record/schemas'
import type { Estimate } from '../../../../core/result'
import { combineHardness } from '../../../../core/rockwell/files'
import { stageLabel } from '../../../../core/rockwell/stages'
import { editBatch } from '../../../../store/batches'
import { SelectField } from '../../../../ui/PlainFields'
import { hrcText, percentText } from '../bench-props'

interface Props {
  readonly batch: Batch
  readonly group: BatchGroup
  readonly mark: string
  readonly stage: Reading['stage']
  readonly predicted: Estimate | null
  readonly reading: Estimate | null
}

const FILES = [40, 45, 50, 55, 60, 65] as const
const options = [['', 'not tried'] as const, ...FILES.map(hrc => [String(hrc), `${hrc} HRC`] as const)]

/** A set of hardness files: what skates, what bites, and what that makes of the hardness. A shop without a tester is served. */
export function FilesView({ batch, group, mark, stage, predicted, reading }: Props) {
  const own = batch.files?.find(f => f.mark === mark && f.stage === stage) ?? null
  const test = { skates: own?.skates ?? null, bites: own?.bites ?? null }
  const set = (part: Partial<typeof test>) =>
    void editBatch(batch, `${mark} files`, b => ({
      ...b,
      files: [
        ...(b.files ?? []).filter(f => f.mark !== mark || f.stage !== stage),
        { mark, stage, ...test, ...part, at: new Date().toISOString() },
      ],
    }))
  const alone = combineHardness({ readings: null, files: [test], predicted: null }, group.target)
  const together = combineHardness(
    { readings: reading, files: [test], predicted: reading ? null : predicted },
    group.target,
  )
  const value = (v: string) => (v === '' ? null : Number(v))
  const contradicts = test.skates !== null && test.bites !== null && test.skates >= test.bites
  return (
    <div className="max-w-2xl space-y-3 py-2">
      <p className="text-[13.5px]">
        Push each file once, lightly, on a clean flat of {mark}, {stageLabel(stage)}: from the hardest down until one
        skates no more. Eye shield: an edge may chip.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Hardest that skates"
          value={test.skates === null ? '' : String(test.skates)}
          options={options}
          onCommit={v => set({ skates: value(v) })}
        />
        <SelectField
          label="Softest that bites"
          value={test.bites === null ? '' : String(test.bites)}
          options={options}
          onCommit={v => set({ bites: value(v) })}
        />
      </div>
      {contradicts && (
        <p className="text-[13px] text-bad">
          A file cannot skate where a softer one bites: clean the spot and try both again.
        </p>
      )}
      {alone && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 border-t border-rule pt-2 text-[14px]">
          <dt className="text-ink-2">By the files alone</dt>
          <dd>
            {hrcText(alone.low)} to {hrcText(alone.high)} HRC
          </dd>
          {together && (
            <>
              <dt className="text-ink-2">{reading ? 'With the readings' : 'With what was predicted'}</dt>
              <dd>
                <strong>
                  {hrcText(together.low)} to {hrcText(together.high)} HRC
                </strong>
                , likeliest near {hrcText(together.mean)}; in target {percentText(together.inTargetProbability ?? 0)}
              </dd>
            </>
          )}
        </dl>
      )}
      <p className="text-[12.5px] text-ink-2">
        Each file is a likelihood with a softness of 1.2 HRC, never the middle of two. 95 % of what is left lies in the
        range.
      </p>
    </div>
  )
}
