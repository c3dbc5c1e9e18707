/** Builds what shares a workshop as an entry of its own beside the server: it is loaded only where a workshop is shared. */
export const sharing = () => {
  let isServer = false
  return {
    name: 'sharing',
    apply: 'build',
    configResolved: config => {
      isServer = Boolean(config.build.ssr)
    },
    buildStart() {
      if (isServer) this.emitFile({ type: 'chunk', id: 'src/server/sharing/index.ts', fileName: 'sharing.mjs' })
    },
  }
}
