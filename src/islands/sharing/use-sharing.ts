import { useSyncExternalStore } from 'react'
import { sharing } from '../../sharing/state'

/** How this screen stands with the others of its workshop. */
export const useSharing = () => useSyncExternalStore(sharing.subscribe, sharing.get, sharing.get)
