import type { EvaluationContext } from '../../evaluation/context'
import { CAUTION, type Cut } from '../../machine/cut'
import { say } from '../../units/print'
import { holeEnlarge } from './calculation'
import { holeInputs } from './inputs'

/** The holes that are bored larger, each with what guides the pilot. */
export function holeCuts(t: EvaluationContext): Cut[] {
  const length = (mm: number) => say(mm, 'length', t.units)
  return t.axis.holes.map((hole): Cut => {
    const { cutterMm, wallAfterMm, verdict } = holeEnlarge(holeInputs(hole, t.shop.cutterSizesMm))
    const bung = hole.existingDiameterMm > 0
    return {
      id: `hole ${hole.id}`,
      what: `${hole.label}: enlarge to ${length(cutterMm ?? hole.requiredDiameterMm)}`,
      tool: cutterMm === null ? 'No cutter at hand is large enough' : `Hole cutter ${length(cutterMm)}`,
      guide: bung
        ? `A bung of ${length(hole.existingDiameterMm)} in the old hole, its pilot ${hole.centreOffsetMm > 0 ? `${length(hole.centreOffsetMm)} off its middle` : 'in its middle'}`
        : 'Punch mark and pilot drill',
      depthMm: hole.depthMm,
      wallLeftMm: wallAfterMm,
      finish: 'rough',
      fit: verdict === 'cut',
      cautions: [CAUTION.eyes, CAUTION.grab, CAUTION.dust],
    }
  })
}
