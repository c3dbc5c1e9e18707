import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { expect, it } from 'vitest'

const HERE = new URL('.', import.meta.url)

/** Texts that programs and programmers read: what a question is about, and errors that a person never sees. */
const TECHNICAL = new Set(['summary', 'description'])
const OPENAPI = 'contract/openapi.ts'

const isProse = (text: string) => /[A-Za-z]{2,} [a-z’]{2,} [A-Za-z’]{2,}/.test(text)

function textOf(node: ts.Node): string | null {
  if (ts.isStringLiteralLike(node)) return node.text
  return ts.isTemplateExpression(node)
    ? node.head.text + node.templateSpans.map(span => `…${span.literal.text}`).join('')
    : null
}

function isTechnical(node: ts.Node): boolean {
  for (let at = node.parent; at; at = at.parent) {
    if (ts.isImportDeclaration(at)) return true
    if (ts.isNewExpression(at) && /Error$/.test(at.expression.getText())) return true
    if (ts.isPropertyAssignment(at) && TECHNICAL.has(at.name.getText())) return true
  }
  return false
}

/** Sentences in a source, by line. */
function proseIn(name: string, source: string): string[] {
  const file = ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node) => {
    const text = textOf(node)
    if (text !== null && isProse(text) && !isTechnical(node))
      found.push(`${name}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1} ${text}`)
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

it('core speaks codes: no sentence stands in it', () => {
  const files = readdirSync(HERE, { recursive: true, encoding: 'utf8' }).filter(
    name => name.endsWith('.ts') && !/\.(test|bench)\.ts$/.test(name) && name !== OPENAPI,
  )
  expect(files.length).toBeGreaterThan(100)
  expect(files.flatMap(name => proseIn(name, readFileSync(new URL(name, HERE), 'utf8')))).toEqual([])
})

it('finds a sentence where there is one', () => {
  expect(proseIn('a.ts', 'const a = `some blades are missing here`')).toHaveLength(1)
  expect(proseIn('a.ts', "throw new RangeError('there is at least one')")).toEqual([])
})
