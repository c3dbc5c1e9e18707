import type { Grade } from '../../data/grades'
import type { Caution } from '../result'
import type { Route } from './route'

/** What is doubtful or dangerous about a route for a steel, in plain words. */
export function routeCautions(
  steel: Grade | { readonly composition: unknown },
  route: Route,
  msC: number,
  retainedFinal: number,
): Caution[] {
  const found: Caution[] = []
  const say = (code: string, message: string) => found.push({ code, message })
  const hottestTemper = Math.max(Number.NEGATIVE_INFINITY, ...route.tempers.map(t => t.atC))
  if ('nominal' in steel) {
    const { minC, maxC } = steel.austenitize
    if (route.austenitizeC > maxC)
      say(
        'above-window',
        `${Math.round(route.austenitizeC)} °C is above this grade’s ${minC} to ${maxC} °C: grain coarsens and austenite stays soft.`,
      )
    if (route.austenitizeC < minC)
      say(
        'below-window',
        `${Math.round(route.austenitizeC)} °C is below this grade’s ${minC} to ${maxC} °C: too little carbon dissolves.`,
      )
    if (route.soakMin > steel.soak.maxMin * 1.5)
      say('long-soak', `A soak of ${Math.round(route.soakMin)} min is well past this grade’s ${steel.soak.maxMin} min.`)
  }
  if (retainedFinal > 0.2)
    say(
      'much-austenite',
      `About ${Math.round(retainedFinal * 100)} % soft austenite stays. Lower the soak temperature or add cold.`,
    )
  if (msC < 60) say('low-ms', 'Martensite starts only just above room temperature: expect a soft blade without cold.')
  if (hottestTemper > 400)
    say(
      'robbed-chromium',
      'Tempers above about 400 °C take chromium out of the steel around each new carbide: the edge rusts sooner.',
    )
  if (hottestTemper > 450 && route.tempers.length < 2)
    say(
      'second-temper',
      'Above 450 °C the austenite turns to fresh, brittle martensite on cooling. Temper a second time.',
    )
  if (hottestTemper >= route.austenitizeC)
    say('temper-above-soak', 'A temper is as hot as the soak: check the figures.')
  if (route.tempers.length === 0) say('untempered', 'Untempered martensite is brittle. Temper the same day.')
  return found
}
