/** Terms of the trade, each in a sentence or two that can be understood alone. */
export const GLOSSARY = {
  austenitize: {
    term: 'Austenitize temperature',
    says: 'The temperature at which carbides dissolve before the quench. It decides how much carbon and chromium the steel has to work with.',
  },
  soak: {
    term: 'Soak',
    says: 'The time a blade stays at the austenitize temperature. It counts from when the blade, not the oven, is that hot.',
  },
  quench: {
    term: 'Quench',
    says: 'The fast cooling that turns the steel hard: between plates, in oil or in air. The seconds down to {500C} decide.',
  },
  martensite: {
    term: 'Martensite',
    says: 'The hard structure that forms on cooling, from the martensite start temperature downwards.',
  },
  retained: {
    term: 'Retained austenite',
    says: 'The part that did not turn to martensite in the quench. It is soft; cold turns most of it.',
  },
  cold: {
    term: 'Cold treatment',
    says: 'Cooling below zero straight after the quench, so that more austenite turns to martensite.',
  },
  temper: {
    term: 'Temper',
    says: 'Heating again to a low or middle temperature. It trades some hardness for toughness.',
  },
  hrc: {
    term: 'HRC',
    says: 'Rockwell hardness on scale C, from the depth a diamond cone goes in under load (ISO 6508). Each point is 0.002 mm.',
  },
  range: {
    term: '± after a figure',
    says: 'The true value lies within this of the figure 95 times in 100.',
  },
  chromium: {
    term: 'Chromium in solution',
    says: 'Chromium that is not bound in carbides. It protects from rust; about 10.5 % makes a steel stainless.',
  },
  toughness: {
    term: 'Toughness',
    says: 'How well the edge bends or gives instead of chipping.',
  },
  decarb: {
    term: 'Decarburised skin',
    says: 'A skin that lost carbon to air in the heat. It stays soft: grind it off before you judge hardness.',
  },
  correction: {
    term: 'Correction of an oven',
    says: 'What is added to the temperature you key, so that the blades get what was planned.',
  },
  block: {
    term: 'Test block',
    says: 'A steel block of certified hardness. Reading it shows by how much the tester is off.',
  },
  blade: {
    term: 'Blade is at heat',
    says: 'A blade counts as at heat when it is within a few degrees of the oven.',
  },
} as const satisfies Readonly<Record<string, { readonly term: string; readonly says: string }>>

export type TermName = keyof typeof GLOSSARY
