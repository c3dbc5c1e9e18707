import { useEffect, useSyncExternalStore } from 'react'
import { loadRunPrefs, type RunPrefs, runPrefs } from './run-prefs'

/** Returns how runs are heard and pressed on this machine. */
export function useRunPrefs(): RunPrefs {
  useEffect(loadRunPrefs, [])
  return useSyncExternalStore(runPrefs.subscribe, runPrefs.get, runPrefs.get)
}
