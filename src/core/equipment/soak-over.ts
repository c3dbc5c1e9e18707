/** How much longer a blade stays in the oven than its steel should, min; 0 where it does not. */
export const overSoakMin = ({
  soakMin,
  longestMin,
}: {
  readonly soakMin: number
  readonly longestMin: number
}): number => Math.max(0, soakMin - longestMin)
