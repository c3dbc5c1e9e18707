/** The first blade is followed this long. */
export const FOLLOWED_S = 900

/** Seconds from 800, or the soak where that is cooler, to 500 °C; as long as a blade is followed where it never got there. */
export const seconds800to500Of = ({
  secondsTo,
}: {
  readonly secondsTo: Readonly<Record<string, number | null>>
}): number => (secondsTo['500'] ?? FOLLOWED_S) - (secondsTo['800'] ?? 0)
