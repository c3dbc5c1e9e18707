import { expose } from 'comlink'
import { answerQuestion } from '../core/record/question'
import { LOCAL_QUESTIONS, type LocalQuestionName } from '../core/record/questions/local'
import type { Result } from '../core/result'

const door = {
  ask: async (name: LocalQuestionName, input: unknown): Promise<Result<unknown>> =>
    answerQuestion(await LOCAL_QUESTIONS[name](), input),
}

export type CoreDoor = typeof door
expose(door)
