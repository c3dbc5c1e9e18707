import { expose } from 'comlink'
import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { LOCAL_QUESTIONS, type LocalQuestionName } from '../core/contract/questions/local'

const door = {
  ask: async (name: LocalQuestionName, input: unknown): Promise<Result<unknown>> =>
    answerQuestion(await LOCAL_QUESTIONS[name](), input),
}

export type CoreDoor = typeof door
expose(door)
