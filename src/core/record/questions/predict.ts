import { ok } from '../../result'
import { predict as predictRoute } from '../../steel/predict'
import { predictRequest, predictResponse } from '../api'
import { question, steelOf } from '../question'

export const predict = question({
  summary: 'Hardness and condition of a steel through a route',
  request: predictRequest,
  response: predictResponse,
  answer: ({ steel, route }) => {
    const { finalHrc: _, austenite, ...rest } = predictRoute(steelOf(steel), route)
    const { C, N, Cr, Mo, V, Mn, Si, Ni } = austenite
    return ok({ ...rest, austenite: { C, N, Cr, Mo, V, Mn, Si, Ni } })
  },
})
