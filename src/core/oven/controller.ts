/** What an oven controller's display shows. */
export interface OvenDisplay {
  readonly indicatedC: number
  /** 0 when off. */
  readonly setC: number
}

/** Something that happens to the oven, in seconds of the run's clock, in time order. */
export type OvenEvent =
  | { readonly atS: number; readonly kind: 'set'; readonly setC: number }
  /** Another oven takes over, at room temperature and empty: its display is read from now on. */
  | { readonly atS: number; readonly kind: 'other-oven' }
  /** Door opened: what the chamber falls by, K, and the steel that stays in, kg. */
  | { readonly atS: number; readonly kind: 'door'; readonly dropK: number; readonly steelInKg: number }

/** The port an oven is read and told through. A simulated one ships; a real device implements the same. */
export interface OvenController {
  /** Events not seen before are taken; an earlier history that changed is replayed from its start. */
  tell(events: readonly OvenEvent[]): void
  read(atS: number): OvenDisplay
}
