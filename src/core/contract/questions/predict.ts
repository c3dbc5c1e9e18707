import { ok } from '../../codes/result'
import { predict as predictRoute } from '../../steel/predict'
import { question, steelOf } from '../question'
import { predictRequest, predictResponse } from '../shapes'

export const predict = question({
  summary: 'Hardness and condition of a steel through a route',
  request: predictRequest,
  response: predictResponse,
  answer: ({ steel, route }) => {
    const prediction = predictRoute(steelOf(steel), route)
    const { C, N, Cr, Mo, W, V, Mn, Si, Ni } = prediction.austenite
    const {
      hrc,
      band,
      martensiteStartC,
      retainedAustenite,
      carbideFraction,
      corrosion,
      grainPinning,
      cautions,
      working,
    } = prediction
    return ok({
      hrc,
      band,
      martensiteStartC,
      retainedAustenite,
      austenite: { C, N, Cr, Mo, W, V, Mn, Si, Ni },
      carbideFraction,
      corrosion,
      grainPinning,
      cautions,
      working,
    })
  },
})
