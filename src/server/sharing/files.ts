import { closeSync, fsyncSync, mkdirSync, openSync, renameSync, writeSync } from 'node:fs'
import { homedir, platform } from 'node:os'
import { dirname, join } from 'node:path'

/** Writes a file whole or not at all; a secret is its owner’s alone. */
export function writeWhole(file: string, text: string, { secret = false } = {}): void {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 })
  const beside = `${file}.new`
  const handle = openSync(beside, 'w', secret ? 0o600 : 0o644)
  try {
    writeSync(handle, text)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  renameSync(beside, file)
}

/** Returns where a shared workshop is kept: TAWNY_DATA, or the user’s folder for data of applications. */
export function dataFolder(env: NodeJS.ProcessEnv = process.env): string {
  if (env.TAWNY_DATA) return env.TAWNY_DATA
  const home = homedir()
  const base =
    platform() === 'win32'
      ? (env.LOCALAPPDATA ?? join(home, 'AppData', 'Local'))
      : platform() === 'darwin'
        ? join(home, 'Library', 'Application Support')
        : (env.XDG_DATA_HOME ?? join(home, '.local', 'share'))
  return join(base, 'tawny-ember')
}
