/** Shapes of a blade's tip that can be drawn without a drawing file. */
export const TIP_SHAPES = ['drop', 'straight', 'clip', 'sheepsfoot'] as const
export type TipShape = (typeof TIP_SHAPES)[number]
