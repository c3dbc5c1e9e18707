/** Returns bytes in megabytes of 10⁶. */
export const megabytesOf = (bytes: number): number => bytes / 1e6
