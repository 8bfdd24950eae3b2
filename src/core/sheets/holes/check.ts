import { defineChecks } from '../../evaluation/check'
import { NO_FIGURES } from '../../evaluation/measures'
import { holeEnlarge } from './calculation'
import { holeInputs } from './inputs'

export const HOLE_CHECKS = defineChecks({
  'room.holes': {
    title: 'Holes to enlarge',
    subject: 'travel',
    judge(t, say) {
      const { holes } = t.axis
      const judged = holes.map(hole => ({
        hole,
        result: holeEnlarge.compute(holeInputs(hole, t.shop.cutterSizesMm)),
      }))
      const worst =
        judged.find(({ result }) => result.verdict === 'too-thin') ??
        judged.find(({ result }) => result.verdict === 'no-cutter') ??
        judged.toSorted((a, b) => (a.result.wallAfterMm ?? 0) - (b.result.wallAfterMm ?? 0))[0]
      if (!worst) return null
      const { hole } = worst
      const { neededDiameterMm, cutterMm, wallAfterMm, verdict } = t.figure(
        'hole',
        holeEnlarge,
        holeInputs(hole, t.shop.cutterSizesMm),
      )
      const needs = `${hole.label} needs ${say(neededDiameterMm, 'length', 1)}`
      if (verdict === 'no-cutter')
        return { ...NO_FIGURES, state: 'fails', sentence: `${needs}, and no cutter at hand is so large.` }
      const wall = `takes a cutter of ${say(cutterMm ?? 0, 'length', 1)}, which leaves ${say(Math.max(0, wallAfterMm ?? 0), 'length', 1)} of wall, against ${say(hole.minimumWallMm, 'length', 1)} to keep`
      return {
        state: verdict === 'cut' ? 'holds' : 'fails',
        figure: { value: Math.max(0, wallAfterMm ?? 0), quantity: 'length' },
        limit: { value: hole.minimumWallMm, quantity: 'length' },
        use: null,
        sentence: verdict === 'cut' ? `${needs}: ${wall}.` : `Not fit to cut: ${needs}, ${wall}.`,
      }
    },
  },
})
