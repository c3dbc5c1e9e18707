import type { BatchBlade } from '../../../../core/batch/tray'
import type { Hardness } from '../../../../core/hardness/hardness'
import { combineHardness } from '../../../../core/rockwell/files'
import type { Stage } from '../../../../core/shop/route'
import { SelectField } from '../../../../ui/PlainFields'
import { hrcText, percentText } from '../../../../words/speaker'
import { stageName } from '../../../../words/stages'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

interface Props {
  readonly blade: BatchBlade
  readonly stage: Stage
  /** How hard it is by all that was measured; null where nothing was. */
  readonly together: Hardness | null
}

const FILES = [40, 45, 50, 55, 60, 65] as const
const options = [['', 'not tried'] as const, ...FILES.map(hrc => [String(hrc), `${hrc} HRC`] as const)]

/** A set of hardness files: what skates, what bites, and what that makes of the hardness. A shop without a tester is served. */
export default function FilesView({ blade, stage, together }: Props) {
  const { batch } = useBench()
  const { mark, record, group } = blade
  const own = record.files?.find(f => f.stage === stage)
  const test = { skates: own?.skates ?? null, bites: own?.bites ?? null }
  const set = (part: Partial<typeof test>) =>
    editBlade(batch, blade.id, `${mark} files`, b => {
      // As stored: a second choice may come before the first is drawn.
      const { skates = null, bites = null } = b.files?.find(f => f.stage === stage) ?? {}
      return {
        ...b,
        files: [
          ...(b.files ?? []).filter(f => f.stage !== stage),
          { stage, skates, bites, ...part, at: new Date().toISOString() },
        ],
      }
    })
  const alone = combineHardness({ readings: null, files: [test], predicted: null }, group.target)
  const value = (v: string) => (v === '' ? null : Number(v))
  const contradicts = test.skates !== null && test.bites !== null && test.skates >= test.bites
  return (
    <div className="max-w-2xl space-y-3 py-2">
      <p className="text-small">
        Push each file once, lightly, on a clean flat of {mark}, {stageName(stage)}: from the hardest down until one no
        longer slides off. Eye shield: an edge may chip.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label="Hardest file that slides off"
          value={test.skates === null ? '' : String(test.skates)}
          options={options}
          onCommit={v => set({ skates: value(v) })}
        />
        <SelectField
          label="Softest file that cuts"
          value={test.bites === null ? '' : String(test.bites)}
          options={options}
          onCommit={v => set({ bites: value(v) })}
        />
      </div>
      {contradicts && (
        <p className="text-small text-bad">
          A harder file cannot slide off where a softer one cuts. Clean the spot and try both again.
        </p>
      )}
      {alone && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 border-t border-rule pt-2 text-body">
          <dt className="text-ink-2">By the files alone</dt>
          <dd>
            {hrcText(alone.low)} to {hrcText(alone.high)} HRC
          </dd>
          {own && together && (
            <>
              <dt className="text-ink-2">
                {together.by === 'readings' ? 'With the readings' : 'With what was predicted'}
              </dt>
              <dd>
                <strong>
                  {hrcText(together.hrc)} ± {hrcText(together.u95)} HRC
                </strong>
                ; chance that it is within target {percentText(together.inTargetProbability)}
              </dd>
            </>
          )}
        </dl>
      )}
      <p className="text-note text-ink-2">
        The range holds the hardness with a chance of 95 %. Each file counts with a scatter of 1.2 HRC.
      </p>
    </div>
  )
}
