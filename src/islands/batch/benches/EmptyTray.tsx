import { useBench } from '../bench-context'

/** A bench that needs blades says so, and leads there. */
export function EmptyTray({ title, what }: { title: string; what: string }) {
  const { go } = useBench()
  return (
    <section aria-label={title} className="p-6">
      <h2 className="text-heading">{title}</h2>
      <p className="my-3">Enter the blades first: from their sizes come {what}.</p>
      <button type="button" className="btn btn-ember" onClick={() => go('prepare')}>
        Enter blades
      </button>
    </section>
  )
}
