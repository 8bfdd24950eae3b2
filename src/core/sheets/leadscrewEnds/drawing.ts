import { boundsOf, box, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'

/** One step of a screw from end to end. */
export interface ScrewStep {
  name: string
  diameterMm: number
  lengthMm: number
  tolerance: string
  note: string
}

/** Fine threads of locknuts that are sold, by the bearing's bore. */
const LOCKNUT_PITCH_MM = (boreMm: number) => (boreMm <= 8 ? 0.75 : boreMm <= 20 ? 1 : 1.5)
/** Bores of the bearings that far ends run in. */
const FAR_BORES_MM = [6, 8, 10, 12, 15, 17, 20, 25, 30, 35]

/** A locknut is about this wide for its bore, and needs as much thread again to be set. */
const locknutThreadMm = (boreMm: number) => Math.ceil(boreMm * 0.6 + 5)

/**
 * The steps that the ends of a screw are turned to, from the coupler to the far end, out of the parts that are chosen.
 *
 * @throws NotKnown while a part or the span is not known
 */
export function screwSteps(t: EvaluationContext): ScrewStep[] {
  const screw = t.part('screw')
  const bearing = t.part('bearing')
  const belted = t.axis.drive.transmission === 'belt'
  const hubMm = belted ? t.part('belt').widthMm + 6 : t.part('coupler').lengthMm / 2
  const hubNote = belted
    ? 'flat or keyway for the pulley'
    : t.part('coupler').hub === 'clamp'
      ? 'no flat: the hub clamps'
      : 'a flat for each set screw'
  const spanMm = t.dimension('supportSpanMm')
  const farMm = FAR_BORES_MM.findLast(boreMm => boreMm < screw.rootDiameterMm && boreMm <= bearing.boreMm)
  const far = (): ScrewStep[] => {
    switch (t.axis.ends) {
      case 'fixed-free':
        return []
      case 'fixed-fixed':
        return [seat('Bearing seat, far end'), locknut('Thread for the locknut, far end')]
      default:
        return [
          {
            name: 'Seat of the far bearing',
            diameterMm: farMm ?? bearing.boreMm,
            lengthMm: Math.ceil((farMm ?? bearing.boreMm) * 0.9 + 3),
            tolerance: 'g6',
            note: 'slides in its bearing, so that the screw can grow',
          },
        ]
    }
  }
  const seat = (name: string): ScrewStep => ({
    name,
    diameterMm: bearing.boreMm,
    lengthMm: bearing.blockLengthMm,
    tolerance: 'h5',
    note: `true to the thread within ${say(10, 'smallLength', t.units)}; shoulder square within ${say(5, 'smallLength', t.units)}`,
  })
  const locknut = (name: string): ScrewStep => ({
    name,
    diameterMm: bearing.boreMm,
    lengthMm: locknutThreadMm(bearing.boreMm),
    tolerance: '6h',
    note: `M${bearing.boreMm} x ${LOCKNUT_PITCH_MM(bearing.boreMm)}, cut between centres with the seat`,
  })
  return [
    {
      name: belted ? 'Journal for the pulley' : 'Journal for the coupler',
      diameterMm: bearing.couplerSeatMm,
      lengthMm: hubMm,
      tolerance: 'h6',
      note: hubNote,
    },
    locknut('Thread for the locknut'),
    seat('Bearing seat'),
    {
      name: 'Screw thread',
      diameterMm: screw.nominalDiameterMm,
      lengthMm: spanMm,
      tolerance: screw.toleranceClass,
      note: `lead ${screw.leadMm} mm, ${say(screw.rootDiameterMm, 'length', t.units)} at the root; wrap it while the ends are turned`,
    },
    ...far(),
  ]
}

/** The whole length of a screw. */
export const totalLengthMm = (steps: readonly ScrewStep[]): number =>
  steps.reduce((sum, { lengthMm }) => sum + lengthMm, 0)

/** The screw's ends at full size, the thread between them broken off. */
export function screwDrawing(title: string, steps: readonly ScrewStep[]): Drawing {
  const BROKEN_MM = 40
  const marks: Mark[] = []
  let x = 0
  for (const { name, diameterMm, lengthMm, tolerance } of steps) {
    const thread = name === 'Screw thread'
    const shownMm = thread ? Math.min(lengthMm, BROKEN_MM) : lengthMm
    marks.push(...box('edge', x, -diameterMm / 2, shownMm, diameterMm))
    if (thread && shownMm < lengthMm) {
      const middle = x + shownMm / 2
      marks.push(line('edge', middle - 2, -diameterMm / 2 - 3, middle - 2, diameterMm / 2 + 3))
      marks.push(line('edge', middle + 2, -diameterMm / 2 - 3, middle + 2, diameterMm / 2 + 3))
    }
    marks.push(words(x + 1, diameterMm / 2 + 2, `${diameterMm} ${tolerance}`, 2.2))
    marks.push(words(x + 1, -diameterMm / 2 - 5, `${Math.round(lengthMm * 100) / 100}`, 2.2))
    x += shownMm
  }
  marks.push(line('centre', -6, 0, x + 6, 0))
  const { left, top, bottom } = boundsOf(marks)
  return {
    title,
    marks: [
      ...marks,
      words(left, top + 5, title, 4),
      words(left, bottom - 7, `Whole length ${Math.round(totalLengthMm(steps) * 100) / 100} mm`),
    ],
  }
}
