import { useEffect, useState } from 'react'
import { guessFromLanguage } from '../../core/shop/locale'
import { unsaidOf, withSaid } from '../../core/shop/said'
import { SETUP_STEPS, type SetupStep } from '../../data/setup'
import { clearAll } from '../../store/backup'
import { useNewestBatches } from '../../store/hooks'
import { saveShop } from '../../store/records'
import { Ask } from '../../ui/Ask'
import { SetupDrawing } from '../../ui/drawings/SetupDrawing'
import { useSay } from '../../ui/Units'
import { assumedWords, SETUP_NAMES, SETUP_WHY, uncertainWords } from '../../words/setup'
import { NewBatchButton } from '../batch/NewBatchButton'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { editShopAs } from '../workshop/edit-shop'
import { SetupFields } from './SetupFields'

export default function StartPlace() {
  return (
    <Place>
      <Start />
    </Place>
  )
}

/** The first hour: what the product is for, a few short steps about the shop, then the first batch, its practice and its paper. */
function Start() {
  const shop = useShopNow()
  const [step, setStep] = useState<SetupStep | 'batch'>(() => unsaidOf(shop)[0] ?? 'units')
  useLanguageGuess()
  return (
    <div className="mx-auto max-w-5xl px-4 py-6 md:px-8">
      <h1 className="text-page">Set up your workshop</h1>
      <p className="mt-1 max-w-3xl text-lead">
        Tawny Ember is for makers who harden stainless and high-alloy blades in a programmable oven: it plans the heat,
        guides you through it, and tells you what the readings mean.
      </p>
      {shop.isDemo ? (
        <LeaveDemo onLeft={() => setStep('units')} />
      ) : (
        <>
          <Steps at={step} onStep={setStep} />
          {step === 'batch' ? <FirstBatch /> : <Step key={step} step={step} onNext={setStep} />}
        </>
      )}
    </div>
  )
}

/** Units and currency of the browser's language, once, as long as nothing was said. */
function useLanguageGuess() {
  const { said, isDemo, currency } = useShopNow()
  const fresh = said.length === 0 && !isDemo && currency === undefined
  useEffect(() => {
    if (!fresh) return
    const { units, currency: guessed } = guessFromLanguage(navigator.language)
    void saveShop(shop => ({ ...shop, units, ...(guessed ? { currency: guessed } : {}) }), 'Units and currency guessed')
  }, [fresh])
}

function LeaveDemo({ onLeft }: { onLeft: () => void }) {
  return (
    <section className="mt-6 max-w-3xl border-l-3 border-ember pl-4">
      <h2 className="text-large">The workshop you see now is made up</h2>
      <p className="my-2">
        Look round in it as long as you like. Your own workshop starts empty: nothing of the made-up one is kept.
      </p>
      <div className="flex flex-wrap gap-2">
        <Ask
          title="Leave the made-up workshop?"
          says="Its batches, readings, ovens and prices are deleted from this browser. You can load it again in the Workshop."
          act="Delete it and start my own"
          onAct={async () => {
            if ((await clearAll()).saved) onLeft()
          }}
        >
          Start my own workshop
        </Ask>
        <a className="btn" href="/">
          Look round first
        </a>
      </div>
    </section>
  )
}

/** The steps and the first batch, with what is said already. */
function Steps({ at, onStep }: { at: SetupStep | 'batch'; onStep: (step: SetupStep | 'batch') => void }) {
  const { said } = useShopNow()
  const tab = (key: SetupStep | 'batch', label: string, done: boolean) => (
    <li key={key}>
      <button
        type="button"
        aria-current={at === key ? 'step' : undefined}
        className={`min-h-touch px-2 text-small ${at === key ? 'font-semibold underline decoration-ember decoration-2 underline-offset-[6px]' : 'text-ink-2 hover:text-ink'}`}
        onClick={() => onStep(key)}
      >
        {label}
        {done && <span className="text-good"> ✓</span>}
      </button>
    </li>
  )
  return (
    <ol className="mt-4 flex flex-wrap border-b border-rule-strong" aria-label="Steps">
      {SETUP_STEPS.map((step, i) => tab(step, `${i + 1} ${SETUP_NAMES[step]}`, said.includes(step)))}
      {tab('batch', 'Then: the first batch', false)}
    </ol>
  )
}

/** One step: a picture, why it is asked, its fields, and what stands there until it is said. */
function Step({ step, onNext }: { step: SetupStep; onNext: (next: SetupStep | 'batch') => void }) {
  const shop = useShopNow()
  const say = useSay()
  const said = shop.said.includes(step)
  const next = SETUP_STEPS[SETUP_STEPS.indexOf(step) + 1] ?? 'batch'
  return (
    <section aria-label={SETUP_NAMES[step]} className="mt-5 grid gap-6 md:grid-cols-2">
      <SetupDrawing step={step} />
      <div className="max-w-md">
        <h2 className="text-heading">{SETUP_NAMES[step]}</h2>
        <p className="mt-1 mb-4 text-ink-2">{SETUP_WHY[step]}</p>
        <SetupFields step={step} edit={editShopAs(SETUP_NAMES[step])} />
        {!said && (
          <p className="mt-3 text-small text-ink-2">
            <em>Usual values, not yours yet.</em> {assumedWords(step, shop, say)} {uncertainWords(step, say)}
          </p>
        )}
        <div className="mt-5 flex flex-wrap gap-2">
          <button
            type="button"
            className="btn btn-ember"
            onClick={() =>
              void saveShop(s => withSaid(s, step), SETUP_NAMES[step]).then(({ saved }) => saved && onNext(next))
            }
          >
            Save and continue
          </button>
          <button type="button" className="btn" onClick={() => onNext(next)}>
            Skip for now
          </button>
        </div>
      </div>
    </section>
  )
}

/** The first batch, then its practice and its paper, each at one press once there is a batch. */
function FirstBatch() {
  const batch = useNewestBatches(1)?.batches[0]
  return (
    <section aria-label="The first batch" className="mt-5 max-w-3xl">
      <h2 className="text-heading">The first batch</h2>
      <p className="mt-1 mb-4">
        A batch is the blades you harden as one job. Name a steel, say how many blades and how thick they are: route,
        packets, programme and tempers are suggested. You can change each of them.
      </p>
      {batch ? (
        <>
          <p className="mb-2">
            <strong>{batch.name}</strong> is planned. Go through its run once at the desk, with nothing hot, and take
            its sheet to the oven.
          </p>
          <div className="flex flex-wrap gap-2">
            <a className="btn btn-ember" href={`/practice/${batch.id}`}>
              Practise its run
            </a>
            <a className="btn" href={`/print/${batch.id}`}>
              Print its oven sheet
            </a>
            <a className="btn" href={`/batch/${batch.id}/choose`}>
              Look at its plan
            </a>
          </div>
        </>
      ) : (
        <div className="flex flex-wrap gap-2">
          <NewBatchButton />
          <a className="btn" href="/workshop">
            See everything in the Workshop
          </a>
        </div>
      )}
    </section>
  )
}
