import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { CAUTION, type Cut } from '../shared/cuts/cut'
import type { holeEnlarge } from './calculation'
import { HOLE_STATES } from './check'
import { judgedHoles, type MeasuredHole } from './inputs'

/** The holes that are bored larger, each with what guides the pilot; those that are large enough are left. */
export const holeCuts = (t: EvaluationContext): Cut[] =>
  judgedHoles(t.axis.holes, t.shop.cutterSizesMm).flatMap(({ hole, result }) =>
    result.verdict === 'enough' ? [] : [cutOf(t, hole, result)],
  )

function cutOf(
  t: EvaluationContext,
  hole: MeasuredHole,
  { cutterMm, finishedDiameterMm, wallAfterMm, verdict, guide }: ReturnType<typeof holeEnlarge>,
): Cut {
  const length = (mm: number) => say(mm, 'length', t.units)
  const seat = hole.use === 'seat'
  return {
    id: `hole ${hole.id}`,
    what:
      verdict === 'sleeve'
        ? `${hole.label}: bore it out, press a sleeve in, bore the seat of ${length(finishedDiameterMm)} in that`
        : seat
          ? `${hole.label}: bore a seat of ${length(finishedDiameterMm)}`
          : `${hole.label}: enlarge to ${length(finishedDiameterMm)}`,
    tool:
      cutterMm === null
        ? seat
          ? 'Boring head'
          : 'No cutter at hand is large enough'
        : seat
          ? `Hole cutter ${length(cutterMm)} to rough it out, then a boring head`
          : `Hole cutter ${length(cutterMm)}`,
    guide: guideWords(t, hole, guide),
    depthMm: hole.depthMm,
    wallLeftMm: wallAfterMm,
    finish: seat ? 'true' : 'rough',
    fit: HOLE_STATES[verdict] !== 'fails',
    cautions: [CAUTION.eyes, CAUTION.grab, CAUTION.dust],
  }
}

/** What guides the pilot drill, in words. */
export function guideWords(
  t: Pick<EvaluationContext, 'units'>,
  { existingDiameterMm, centreOffsetMm }: MeasuredHole,
  guide: 'bung' | 'metal' | 'template',
): string {
  const length = (mm: number) => say(mm, 'length', t.units)
  switch (guide) {
    case 'bung':
      return `A bung of ${length(existingDiameterMm)} in the old hole, its pilot ${centreOffsetMm > 0 ? `${length(centreOffsetMm)} off its middle` : 'in its middle'}`
    case 'metal':
      return 'Punch mark and pilot drill in whole metal'
    case 'template':
      return 'A plate with a pilot hole, clamped on: the pilot would run out into the old hole'
  }
}
