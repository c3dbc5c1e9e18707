/** Stands in the place of what runs text as code: whoever tries finds that it cannot be done here. */
export default function noEval() {
  throw new EvalError('no text is run as code')
}
