export const CAUSE_NAMES = ['scatter', 'under-soaked', 'oven-cold', 'oven-hot', 'leak', 'slow-quench', 'under-tempered', 'wrong-steel', 'tester'] as const
export type CauseName = (typeof CAUSE_NAMES)[number]

/** How often each cause stands behind a reading, how bad it is when it does, and what tells it. Common practice, no published source. */
export const CAUSES = {
  /** Remaining error of a right prediction, one standard deviation, HRC. */
  modelSdHrc: 0.7,
  /** A soak worth this share of what was asked is one. */
  soakedEnoughShare: 0.8,
  priors: {
    scatter: 0.55,
    'under-soaked': 0.07,
    /** Where a log shows it, and where a log shows that it was soaked. */
    underSoakedLogged: 0.5,
    soakedLogged: 0.005,
    'oven-cold': 0.07,
    'oven-hot': 0.06,
    leak: 0.05,
    leakSeen: 0.6,
    'slow-quench': 0.04,
    'under-tempered': 0.04,
    'wrong-steel': 0.03,
    tester: 0.13,
    testerChecked: 0.03,
  },
  spreads: {
    /** Share of the soak the blade had. */
    soakShare: [0.05, 0.1, 0.2, 0.35, 0.5, 0.7],
    ovenK: [10, 20, 30, 45, 60],
    /** Skin that lost carbon reads so much softer, HRC. */
    skinHrc: [2, 3, 4, 5, 6, 8, 10],
    /** Seconds from 800 to 500 °C: folds, air, plates left hot. */
    slowS: [20, 40, 80, 150, 300],
    /** A temper oven, or a corner of it, that is so much colder than it shows, K. */
    temperK: [10, 20, 35, 50, 80],
    testerSd: 1.5,
    testerCheckedSd: 0.4,
  },
} as const satisfies {
  modelSdHrc: number
  soakedEnoughShare: number
  priors: Record<string, number>
  spreads: object
}
