import { GRADES, type Grade } from '../../data/grades'

/** Grade by its first name, exactly; undefined when it is not shipped. */
export const findGrade = (name: string): Grade | undefined => GRADES.find(grade => grade.name === name)

export const gradeNames = (): string[] => GRADES.map(grade => grade.name)
