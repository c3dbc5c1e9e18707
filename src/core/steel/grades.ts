import { GRADES, type Grade } from '../../data/grades'

/** Grade by its first name, exactly; undefined when it is not shipped. */
export const findGrade = (name: string): Grade | undefined => GRADES.find(grade => grade.name === name)

/** First names of all shipped grades. */
export const gradeNames = (): string[] => GRADES.map(grade => grade.name)

const shippedById = new Map(GRADES.map(grade => [grade.id, grade]))

/** Something planned for a grade: by its id, with its own sheet where the maker wrote one, and what it was called then. */
export interface OfGrade {
  readonly gradeId: string
  readonly gradeName: string
  readonly sheet?: Grade | undefined
}

/** The grade something was planned for; undefined when it is neither shipped nor carries its sheet. */
export const gradeOf = ({ gradeId, sheet }: OfGrade): Grade | undefined => sheet ?? shippedById.get(gradeId)

/** Every grade to choose from: shipped ones, and the maker's own after them. */
export const gradesWith = (own: readonly Grade[]): readonly Grade[] => [...GRADES, ...own]

/** Returns the part of a grade that a plan stores: its id and name, and the whole sheet if it is not shipped. */
export const planFor = (grade: Grade): OfGrade => {
  const { id: gradeId, name: gradeName } = grade
  return shippedById.has(gradeId) ? { gradeId, gradeName } : { gradeId, gradeName, sheet: grade }
}

/** The steel as it is asked about at a door: by name where it is shipped, else with its whole sheet. */
export const steelRequest = (grade: Grade): { readonly grade: string } | { readonly sheet: Grade } =>
  shippedById.has(grade.id) ? { grade: grade.name } : { sheet: grade }
