/**
 * A function that keeps its last answers by what it was asked, written as JSON: for pure, slow work that is asked for again and again.
 * Beyond `most` the one that was not asked for the longest is let go.
 */
export function remembered<Q, A>(answer: (asked: Q) => A, most: number): (asked: Q) => A {
  const answers = new Map<string, { readonly answer: A }>()
  return asked => {
    const key = JSON.stringify(asked)
    const kept = answers.get(key) ?? { answer: answer(asked) }
    answers.delete(key)
    answers.set(key, kept)
    const [oldest] = answers.keys()
    if (answers.size > most && oldest !== undefined) answers.delete(oldest)
    return kept.answer
  }
}
