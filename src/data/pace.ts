/** Usual times of the shop floor, where nothing better is known. Common practice, no published source. */
export const PACE = {
  /** From oven until it can be held, between plates. */
  quenchMin: 4,
  /** A packet stays clamped this long before the next is pulled, s. */
  clampedS: 90,
  /** Time in which pulls and clamps follow one another, min. */
  pullEveryMin: 2,
  /** A blade is moved in the oil, hands on it, s. */
  oilS: 30,
  inspectMin: 20,
  /** A thin blade in a bath follows it within this, s. */
  coldLagS: 60,
  warmMin: 25,
  /** Loading, with the door open. */
  loadMin: 3,
  /** Hands at the door for one act: blades put in or taken out. */
  doorMin: 5,
  /** A bare blade in a tempering oven with a fan is through after this. */
  temperLagMin: 15,
  /** From a temper to room temperature in still air. */
  coolMin: 35,
  /** Of that, the least to wait before the next temper. */
  coolBetweenMin: 30,
  /** A blade set straight in a three-pin vice, warm from its temper. */
  straightenMin: 5,
  /** From a stress relief or an anneal until blades have cooled, are cleaned and wrapped. */
  wrapMin: 60,
  /** Air of a workshop by the plates, °C. */
  roomC: 22,
  /** Drop of a chamber when cold packets go in, and when one is pulled, K. */
  loadDropK: 70,
  pullDropK: 24,
} as const
