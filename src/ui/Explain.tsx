import { GLOSSARY, type TermName } from '../words/glossary'
import { inUnits } from '../words/marked'
import { Opens } from './Opens'
import { useSay } from './Units'

/** Opens a term of the trade to what it means. */
export function Explain({ term }: { term: TermName }) {
  const say = useSay()
  const { term: name, says } = GLOSSARY[term]
  return (
    <Opens word="explain" label={`What is this: ${name}`} title={name} width="narrow">
      <p className="text-small">{inUnits(says, say)}</p>
    </Opens>
  )
}
