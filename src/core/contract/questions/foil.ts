import { planRoll } from '../../foil/envelope-plan'
import { question } from '../question'
import { foilRequest, foilResponse } from '../shapes'

export const foil = question({
  summary: 'Envelope sizes and a cut plan on the roll',
  request: foilRequest,
  response: foilResponse,
  answer: planRoll,
})
