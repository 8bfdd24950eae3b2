import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { goal, lessRecess, part, recess } from '../../machine/commonRemedies'
import { RECESS_ENDS, RECESS_OF, type RecessEnd, recessAt } from '../../machine/travel/recess'
import { defineOutcome } from '../outcome'
import { CAUTION, type Cut } from '../shared/cuts/cut'

function recessCut(t: EvaluationContext, end: RecessEnd): Cut[] {
  if (t.axis.recesses[RECESS_OF[end]] <= 0) return []
  const recess = attempt(() => recessAt(t, end)).value
  if (!recess) return []
  const { depthMm, diameterMm, deepestMm, metalMm, wallAroundMm, wallToKeepMm } = recess
  return [
    {
      id: `recess-${end}`,
      what: `Recess for the nut at the ${end} end, about the screw axis`,
      tool: 'Boring head, or a hole saw and a boring bar',
      guide: 'The bore of the block: a pilot through it marks the axis',
      diameterMm,
      depthMm,
      wallLeftMm: metalMm === null ? wallAroundMm : Math.min(wallAroundMm, metalMm - depthMm),
      finish: 'rough',
      fit: depthMm <= deepestMm && wallAroundMm >= wallToKeepMm,
      cautions: [CAUTION.eyes, CAUTION.heavy, CAUTION.dust],
    },
  ]
}

/** What gives travel back, and the recesses that are cut for it. */
export const travelOutcome = defineOutcome({
  remedies: {
    'room.travel': [recess('far'), recess('fixed'), part('screw'), goal('wantedTravelMm')],
    'recess.fixed': [lessRecess('fixed'), part('screw')],
    'recess.far': [lessRecess('far'), part('screw')],
  },
  cuts: context => RECESS_ENDS.flatMap(end => recessCut(context, end)),
})
