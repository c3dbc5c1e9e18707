import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf'
import type { FoldTemplate, TemplateLine } from './template'

/** Each kind of line on a layer of its own, so that a cutter takes what is cut and leaves what is folded. */
const LAYERS: Readonly<Record<TemplateLine['kind'], { readonly name: string; readonly color: number }>> = {
  cut: { name: 'CUT', color: Colors.Red },
  fold: { name: 'FOLD', color: Colors.Blue },
  seam: { name: 'SEAM', color: Colors.Green },
  blade: { name: 'BLADE', color: Colors.White },
}

/** The template as ASCII DXF in mm, y upward as drawing programs have it. */
export function templateDxf({ widthMm, lines }: FoldTemplate): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const { name, color } of Object.values(LAYERS)) dxf.addLayer(name, color, 'CONTINUOUS')
  for (const { kind, x1, y1, x2, y2 } of lines)
    dxf.addLine(point3d(x1, widthMm - y1), point3d(x2, widthMm - y2), { layerName: LAYERS[kind].name })
  return dxf.stringify()
}
