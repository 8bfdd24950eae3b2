import { length, words } from '../../../field/field'

const from = (label: string) => length(label, [-500, 500], { orNone: true })

export const HOLE_ABOUT_SCREW = {
  label: words('Hole', 40),
  xMm: from('To the right'),
  yMm: from('Up'),
  diameterMm: length('Diameter', [0.5, 100], { orNone: true }),
}
export interface HoleAboutScrew {
  label: string
  xMm: number | null
  yMm: number | null
  diameterMm: number | null
}
