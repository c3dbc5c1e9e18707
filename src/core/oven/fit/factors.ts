import type { FitFactor } from '../../../data/oven-fit'
import type { DetailedOven } from '../oven-model'

export type Factors = Readonly<Record<FitFactor, number>>

/** An oven as a log makes it: its own figures times what was found. */
export const withFactors = (oven: DetailedOven, factors: Factors): DetailedOven => ({
  powerW: oven.powerW * factors.power,
  chamberMm: oven.chamberMm,
  build: {
    ...oven.build,
    leakWPerK: oven.build.leakWPerK * factors.leak,
    furnitureJPerK: oven.build.furnitureJPerK * factors.mass,
    wall: { k: factors.wallK, c: factors.wallC },
  },
})
