import { CONTACT, PLATE_AIR } from '../../../data/thermal'
import { ok } from '../../codes/result'
import { quench as quenchOf } from '../../quench/quench'
import { question } from '../question'
import { quenchRequest, quenchResponse } from '../shapes'

/** Martensite start and room where they were not given, °C. Common practice, no published source. */
const USUAL = { martensiteStartC: 180, ambientC: 25 }

export const quench = question({
  summary: 'Blades from the soak until they can be held, one after another, between plates, in air or in oil',
  request: quenchRequest,
  response: quenchResponse,
  answer: ({ plates: { startC, cooling, ...plates }, ...rest }) =>
    ok(
      quenchOf({
        ...rest,
        plates,
        plateStartC: startC,
        contactWPerM2K: rest.contactWPerM2K ?? CONTACT.clampedFoil,
        airWPerM2K: rest.airWPerM2K ?? PLATE_AIR[cooling],
        martensiteStartC: rest.martensiteStartC ?? USUAL.martensiteStartC,
        ambientC: rest.ambientC ?? USUAL.ambientC,
      }),
    ),
})
