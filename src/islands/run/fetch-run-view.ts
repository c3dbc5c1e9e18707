/** Fetches what leads a run: its board, its keys and all it may ask. No run is begun without it. */
export const fetchRunView = () => import('./RunView')
