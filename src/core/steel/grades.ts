import { GRADES, type Grade } from '../../data/grades'

/** Grade by its first name, exactly; undefined when it is not shipped. */
export const findGrade = (name: string): Grade | undefined => GRADES.find(grade => grade.name === name)

export const gradeNames = (): string[] => GRADES.map(grade => grade.name)

/** Something planned for a grade: by its name, and with its own sheet where the maker wrote one. */
export interface OfGrade {
  readonly gradeName: string
  readonly sheet?: Grade | undefined
}

/** The grade something was planned for; undefined when it is neither shipped nor carries its sheet. */
export const gradeOf = ({ gradeName, sheet }: OfGrade): Grade | undefined => sheet ?? findGrade(gradeName)

/** Every grade to choose from: shipped ones, and the maker's own after them. */
export const gradesWith = (own: readonly Grade[]): readonly Grade[] => [...GRADES, ...own]

const shippedNames = new Set(gradeNames())
/** What a plan keeps of a grade: its name, and the whole sheet where it is not shipped. */
export const planFor = (grade: Grade): OfGrade =>
  shippedNames.has(grade.name) ? { gradeName: grade.name } : { gradeName: grade.name, sheet: grade }

/** The steel as it is asked about at a door: by name where it is shipped, else with its whole sheet. */
export const steelRequest = (grade: Grade) =>
  shippedNames.has(grade.name) ? { grade: grade.name } : { sheet: grade as never }
