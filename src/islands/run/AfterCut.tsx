import type { IncidentEvent } from '../../core/run/live-events'
import type { Run } from '../../core/shop/run'
import { useSay } from '../../ui/Units'
import { afterCutChoices, afterCutWords } from '../../words/board'
import { Choices } from './Choices'
import { RunDialog } from './RunDialog'
import { answerCut } from './run-log'

interface Props {
  readonly run: Run
  readonly cut: IncidentEvent
  readonly boundKey: string | null
  /** How the oven and its blades stand by the model; null where nothing is known of them. */
  readonly standing: string | null
  readonly onStop: () => void
}

/** The power is back and blades are in the oven: whether the soak so far counts, they are heated anew, or the run ends. */
export function AfterCut({ run, cut, boundKey, standing, onStop }: Props) {
  const say = useSay()
  return (
    <RunDialog title={afterCutWords(cut)}>
      {standing && <p className="mb-3 text-large">{standing}</p>}
      <Choices
        label="How does it go on?"
        boundKey={boundKey}
        choices={afterCutChoices(say)}
        onChoose={how => {
          // Called off, what they soaked stays as it is.
          void answerCut(run, cut.id, how === 'stop' ? 'go-on' : how)
          if (how === 'stop') onStop()
        }}
      />
    </RunDialog>
  )
}
