import type { EvaluationContext } from '../../evaluation/context'
import { CAUTION, type Cut } from '../shared/cuts/cut'

/** The faces that carry a part, cut last and in one clamping where that can be. */
export function trueFaces(t: EvaluationContext): Cut[] {
  const face = (id: string, what: string): Cut => ({
    id,
    what,
    tool: 'Fly cutter or face mill, light cuts; else scrape to blue',
    guide: 'The ways: an indicator along the face against the carriage',
    depthMm: null,
    wallLeftMm: null,
    finish: 'true',
    fit: true,
    cautions: [CAUTION.eyes, CAUTION.chips],
  })
  const { screws } = t.axis.drive
  const both = screws === 2 ? ', of both screws' : ''
  return [
    face('seat-fixed', `Seat of the fixed block${both}: square to the screw axis`),
    ...(t.axis.ends === 'fixed-free'
      ? []
      : [face('seat-far', `Seat of the far block${both}: in line with the fixed one`)]),
    face('seat-bracket', 'Face of the nut bracket: square to the screw axis'),
  ]
}
