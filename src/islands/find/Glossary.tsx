import { useSay } from '../../ui/Units'
import { GLOSSARY } from '../../words/glossary'
import { inUnits } from '../../words/marked'

/** Every term of the trade that the product uses. */
export function Glossary() {
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
