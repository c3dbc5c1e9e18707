/**
 * How long an oven's door stands open, s. A pull: calibrated on the reference's drop of 24 °C and 50 to 60 s of a medium oven
 * (docs/method.md). A load of packets: common practice, no published source.
 */
export const DOOR_S = { pull: 4, load: 15 } as const
