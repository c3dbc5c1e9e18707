import { type ComponentType, lazy } from 'react'

/**
 * A component that is fetched when it is first drawn, and what fetches it ahead of that. What cannot be fetched ahead is tried again
 * as it is drawn, and said there.
 */
export const fetchedAhead = <Props>(load: () => Promise<{ default: ComponentType<Props> }>) =>
  [lazy(load), (): void => void load().catch(() => undefined)] as const
