import { describe, expect, it } from 'vitest'
import { gradeOf } from '../core/steel/grades'
import { predict } from '../core/steel/predict'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { recipeMarkdown, recipeNotes, recipeSteps } from './recipe-card'
import { speakerOf } from './speaker'

const [recipe] = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z')).recipes
const grade = recipe && gradeOf(recipe)
const latest = recipe?.versions.at(-1)
if (!recipe || !grade || !latest) throw new Error('the demo has no recipe')
const prediction = predict(grade, latest.route)
const metric = speakerOf('metric')

describe('a recipe’s card', () => {
  it('has each step in its order, temperatures in both scales', () => {
    const steps = recipeSteps(grade, latest.route, prediction, metric)
    const names = steps.map(([what]) => what)
    expect(names.filter(name => name.startsWith('Temper'))).toHaveLength(latest.route.tempers.length)
    expect(names.indexOf('Quench')).toBe(names.indexOf('Soak') + 1)
    expect(names.includes('Cold')).toBe(latest.route.cold !== null)
    const soak = steps.find(([what]) => what === 'Soak')
    expect(soak?.[1]).toBe(metric.keyed(latest.route.austenitizeC))
  })

  it('says the same on Markdown as on paper: every step and every note', () => {
    const text = recipeMarkdown({ recipe, grade, prediction }, metric)
    expect(text.split('\n')[0]).toBe(`# ${recipe.name}`)
    for (const [what, at] of recipeSteps(grade, latest.route, prediction, metric))
      expect(text).toContain(`| ${what} | ${at} |`)
    expect(text.match(/^- /gm)).toHaveLength(recipeNotes(grade, latest.route, prediction, metric).length)
    expect(text).toMatch(/^> Face shield/m)
  })

  it('lets no name break its table or make a heading, a link or a picture', () => {
    const name = '![x](y) | <b> # *two*\nlines'
    const [title] = recipeMarkdown({ recipe: { ...recipe, name }, grade, prediction }, metric).split('\n')
    expect(title).toBe('# !\\[x\\](y) \\| \\<b\\> \\# \\*two\\* lines')
  })

  it('in °F and inches names no metric unit but in both scales', () => {
    const text = recipeMarkdown({ recipe, grade, prediction }, speakerOf('imperial'))
    expect(text).not.toMatch(/\d ?mm\b/)
    expect(text).toMatch(/°F/)
  })
})
