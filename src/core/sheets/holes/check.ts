import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { isFilled } from '../../evaluation/filled'
import { NO_FIGURES } from '../../evaluation/measures'
import { holeEnlarge } from './calculation'
import { HOLE_NEEDS, holeInputs, judgedHoles, type MeasuredHole, measuredHole } from './inputs'

type Result = ReturnType<typeof holeEnlarge>

/** Worst first. */
const ORDER: Result['verdict'][] = ['too-thin', 'sleeve', 'no-cutter', 'bore', 'cut', 'enough']
export const HOLE_STATES = {
  'too-thin': 'fails',
  sleeve: 'close',
  'no-cutter': 'fails',
  bore: 'holds',
  cut: 'holds',
  enough: 'holds',
} as const satisfies Record<Result['verdict'], Judgement['state']>

/** What is to be done about a hole, in a sentence or two. */
export function holeWords(
  { label, existingDiameterMm, requiredDiameterMm, minimumWallMm }: MeasuredHole,
  { verdict, cutterMm, finishedDiameterMm, wallAfterMm }: Result,
  say: Say,
): string {
  const length = (mm: number) => say(mm, 'length', 1)
  const wall = `leaves ${length(Math.max(0, wallAfterMm))} of wall, against ${length(minimumWallMm)} to keep`
  switch (verdict) {
    case 'enough':
      return `${label} is large enough as it is, ${length(existingDiameterMm)} for ${length(requiredDiameterMm)}: leave it.`
    case 'cut':
      return `${label}: the cutter of ${length(finishedDiameterMm)} opens it, which ${wall}.`
    case 'bore':
      return `${label}: ${cutterMm === null ? 'bore the seat' : `rough it out with the cutter of ${length(cutterMm)}, then bore the seat`} true to ${length(requiredDiameterMm)}, which ${wall}.`
    case 'sleeve':
      return `${label}: the old hole breaks into the seat of ${length(requiredDiameterMm)}. Bore it larger, press a sleeve in and bore the seat in that.`
    case 'no-cutter':
      return `${label} needs ${length(requiredDiameterMm)}, and no cutter at hand is so large.`
    case 'too-thin':
      return `Not fit to cut. ${label} at ${length(finishedDiameterMm)} ${wall}: move the centre, or take a smaller part.`
  }
}

export const HOLE_CHECKS = defineChecks({
  'room.holes': {
    title: 'Holes to enlarge',
    subject: 'travel',
    judge(t, say) {
      const { holes } = t.axis
      if (holes.length === 0) return null
      const { cutterSizesMm } = t.shop
      const [worst] = judgedHoles(holes, cutterSizesMm).toSorted(
        (a, b) =>
          ORDER.indexOf(a.result.verdict) - ORDER.indexOf(b.result.verdict) ||
          a.result.wallAfterMm - b.result.wallAfterMm,
      )
      const open = holes.find(hole => !isFilled(hole, HOLE_NEEDS))
      // What is known to fail does so whatever the rest comes to.
      if (!worst || (open && HOLE_STATES[worst.result.verdict] === 'holds')) {
        measuredHole(open as (typeof holes)[number])
        return null
      }
      const { hole, result } = worst
      t.figure('hole', holeEnlarge, holeInputs(hole, cutterSizesMm))
      const sentence = holeWords(hole, result, say)
      const state = HOLE_STATES[result.verdict]
      if (result.verdict === 'enough' || result.verdict === 'no-cutter')
        return { ...NO_FIGURES, state, sentence }
      return {
        state,
        figure: { value: Math.max(0, result.wallAfterMm), quantity: 'length' },
        limit: { value: hole.minimumWallMm, quantity: 'length' },
        use: null,
        sentence,
      }
    },
  },
})
