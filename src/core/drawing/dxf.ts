import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf'
import { type Drawing, LAYERS } from './drawing'

/** Writes a drawing as DXF in millimetres, a layer for edges, centre lines and words each. */
export function writeDxf({ marks }: Drawing): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const layer of LAYERS) dxf.addLayer(layer, layer === 'edge' ? Colors.White : Colors.Cyan, 'Continuous')
  for (const mark of marks) {
    dxf.setCurrentLayerName(mark.layer)
    switch (mark.is) {
      case 'line':
        dxf.addLine(point3d(mark.x1, mark.y1), point3d(mark.x2, mark.y2))
        break
      case 'circle':
        dxf.addCircle(point3d(mark.x, mark.y), mark.r)
        break
      case 'text':
        dxf.addText(point3d(mark.x, mark.y), mark.heightMm, mark.text)
    }
  }
  return dxf.stringify()
}
