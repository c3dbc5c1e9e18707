/** Where the built thread for questions lies, as a file address; null in development. */
declare module 'virtual:question-thread' {
  const file: string | null
  export default file
}
