/** Model's one-sigma error of a change from a measured state, per HRC of change, and at the least. */
export const CHANGE_SD = { share: 0.25, floor: 0.25 } as const
