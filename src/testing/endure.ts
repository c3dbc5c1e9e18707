/** How often something is tried: a few times with every test run, often where `npm run endure` asks for it. */
export const tries = (short: number, long: number): number => (process.env.ENDURE ? long : short)
