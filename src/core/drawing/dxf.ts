import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf'
import { boundsOf, type Drawing, LAYERS } from './drawing'

/** Long dash, gap, short dash, gap, in millimetres: the line of an axis. */
const CENTRE_LINE = { name: 'CENTER', about: 'Center ____ _ ____ _ ____', mm: [4, -1, 1, -1] }

/** A text in plain letters, others by their code points, as files before Unicode have them. */
const escaped = (text: string) =>
  text.replace(
    /[^\x20-\x7e]/gu,
    sign => `\\U+${(sign.codePointAt(0) ?? 63).toString(16).toUpperCase().padStart(4, '0')}`,
  )

/**
 * Writes a drawing as DXF of 2000 in millimetres, a layer for edges, centre lines and words each. Letters outside of the plain
 * ones stand by their code points, which every reader since knows.
 */
export function writeDxf({ marks }: Drawing): string {
  const dxf = new DxfWriter()
  dxf.setVariable('$ACADVER', { 1: 'AC1015' })
  dxf.setVariable('$DWGCODEPAGE', { 3: 'ANSI_1252' })
  dxf.setUnits(Units.Millimeters)
  // Metric: without it some readers take the patterns of inches.
  dxf.setVariable('$MEASUREMENT', { 70: 1 })
  const { left, bottom, right, top } = boundsOf(marks)
  dxf.setVariable('$EXTMIN', { 10: left, 20: bottom, 30: 0 })
  dxf.setVariable('$EXTMAX', { 10: right, 20: top, 30: 0 })
  dxf.addLType(CENTRE_LINE.name, CENTRE_LINE.about, CENTRE_LINE.mm)
  for (const layer of LAYERS)
    dxf.addLayer(
      layer,
      layer === 'edge' ? Colors.White : Colors.Cyan,
      layer === 'centre' ? CENTRE_LINE.name : 'Continuous',
    )
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
        dxf.addText(point3d(mark.x, mark.y), mark.heightMm, escaped(mark.text))
    }
  }
  return dxf.stringify()
}
