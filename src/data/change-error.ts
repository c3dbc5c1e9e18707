/** Model's one-sigma error of a change from a measured state, per HRC of change, at the least, and further where a temper goes over the secondary peak. */
export const CHANGE_SD = { share: 0.25, floor: 0.25, overPeak: 0.8 } as const
