import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'

const HERE = new URL('.', import.meta.url)

/** Operators that make a figure. Sums and remainders of indexes stay free. */
const REFUSED = new Set([
  ts.SyntaxKind.AsteriskToken,
  ts.SyntaxKind.SlashToken,
  ts.SyntaxKind.AsteriskAsteriskToken,
  ts.SyntaxKind.AsteriskEqualsToken,
  ts.SyntaxKind.SlashEqualsToken,
])
/** Constants of conversion and statistics: they stand once, in the core. */
const CONSTANTS = new Set(['1.8', '1.96', '25.4', '273.15', '3600', '86400000', '0.3048', '1e6'])

/** Returns each place in a source text where a view computes, as 'line: text'. */
function computedIn(source: string, name = 'view.tsx'): string[] {
  const file = ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node): void => {
    const computes = ts.isBinaryExpression(node) && REFUSED.has(node.operatorToken.kind)
    const isConstant = ts.isNumericLiteral(node) && CONSTANTS.has(node.getText().replaceAll('_', ''))
    if (computes || isConstant)
      found.push(`${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}: ${node.getText()}`)
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

describe('islands', () => {
  it('compute no figure: a product, a quotient or a conversion is made in core, a text of it in words', () => {
    const files = readdirSync(HERE, { recursive: true, encoding: 'utf8' }).filter(
      file => /\.tsx?$/.test(file) && !/\.(test|bench)\./.test(file),
    )
    expect(files.length).toBeGreaterThan(200)
    expect(
      files.flatMap(file => computedIn(readFileSync(new URL(file, HERE), 'utf8'), file).map(at => `${file}:${at}`)),
    ).toEqual([])
  })

  it('would be refused for a breach', () => {
    expect(computedIn('const money = metres * price')).toEqual(['1: metres * price'])
    expect(computedIn('const F = c => c * 1.8')).toEqual(['1: c * 1.8', '1: 1.8'])
    expect(computedIn('let x = 2; x /= 3')).toEqual(['1: x /= 3'])
    expect(computedIn('<p style={{ width: i + 1 }}>{names[(i + 1) % names.length]}</p>')).toEqual([])
  })
})
