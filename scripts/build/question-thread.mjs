const NAME = 'virtual:question-thread'

/** Builds the server's thread for questions as an entry of its own, and tells its place to who starts it. */
export const questionThread = () => {
  let isBuild = false
  return {
    name: 'question-thread',
    configResolved: config => {
      isBuild = config.command === 'build'
    },
    resolveId: id => (id === NAME ? `\0${NAME}` : undefined),
    load(id) {
      if (id !== `\0${NAME}`) return undefined
      if (!isBuild) return 'export default null'
      const part = this.emitFile({ type: 'chunk', id: 'src/server/question-thread.ts', name: 'question-thread' })
      return `export default import.meta.ROLLUP_FILE_URL_${part}`
    },
  }
}
