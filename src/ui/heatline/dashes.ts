/** How the lines of a batch's other steels are broken, so that each can be told. */
const DASHES = ['3 3', '9 3', '2 2 9 2']
export const dashOf = (index: number): string => DASHES[index % DASHES.length] as string
