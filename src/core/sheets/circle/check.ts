import { type Check, defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { oddAdvice } from '../shared/rounds/odd'
import { noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { lastRound } from '../shared/rounds/rounds'
import type { CircleRound } from './model'
import { acrossOf, circleRounds, measuredCircle, measuredSquare } from './rounds'

const MM_PER_M = 1000

const otherOf = ({ otherAxis }: CircleRound) => otherAxis ?? 'the other axis'

/** Diameters that lie so many steps of their gauge about an ellipse are none. */
const FLATS = 3

/** A diagonal that is so much another is not one of this square. */
const NO_SUCH_DIAGONAL = 0.05

/** Which way two axes lean, and what is done about it. */
const leaning = (name: string, round: CircleRound, umPerM: number) =>
  `the plus ends of ${name} and ${otherOf(round)} lean ${umPerM > 0 ? 'towards' : 'away from'} each other. Square them by the guide under Align, then cut again.`

/** What is off over a metre, at the circle that was measured. */
const atCircle = (umPerM: number, meanDiameterMm: number) => (Math.abs(umPerM) * meanDiameterMm) / MM_PER_M

type Found = NonNullable<ReturnType<typeof measuredCircle>>

/** What one of the two checks holds against what, over a metre, and how it says so. */
interface Held {
  umPerM: number
  limitUmPerM: number
  said: (small: (umPerM: number) => string) => string
  mend: string
  narrow: string
  /** What diameters that lie off any ellipse ask for. */
  noEllipse: string
}

/** A check of the last circle; what both ask of its round is asked here. */
const ofCircle =
  (held: (found: Found, t: EvaluationContext, say: Say) => Held): Check['judge'] =>
  (t, say) => {
    const round = lastRound(circleRounds, t.axis)
    if (!round) return null
    // A round of the square alone says nothing of a circle, and owes nothing.
    if (acrossOf(round).length === 0 && round.diagonalAMm !== null) return null
    const odd = oddAdvice(circleRounds, round, say)
    if (odd) return odd
    const stepUm = stepOf(round, 'circle', 'prove')
    const found = measuredCircle(t, stepUm)
    if (!found)
      return noAdvice('Measure the circle across in three directions or more; six tell how well it is known.')
    const { umPerM, limitUmPerM, said: saidOf, mend, narrow, noEllipse } = held(found, t, say)
    const { residualUm } = found
    // Where an axis turns, its play cuts a step on one side of the quadrant: that leans as axes out of square do.
    if (residualUm !== null && residualUm > FLATS * stepUm)
      return noAdvice(
        `These diameters lie ${say(residualUm, 'smallLength')} about any ellipse, where they were read in steps of ${say(stepUm, 'smallLength')}: ${noEllipse}`,
      )
    const atIt = (one: number) => atCircle(one, found.meanDiameterMm)
    const said = saidOf(one => say(atIt(one), 'smallLength', 1))
    const figures = [atIt(umPerM), atIt(limitUmPerM), atIt(found.uncertainUmPerM)] as const
    return judgeFigure([umPerM, found.uncertainUmPerM, limitUmPerM], figures, {
      within: () => `${said}.`,
      beyond: () => `${said}: ${mend}`,
      cannotTell: () => `${said}: these readings cannot tell. ${narrow}`,
    })
  }

export const CIRCLE_CHECKS = defineChecks({
  'prove.circleSquare': {
    title: 'Axes square, by a circle',
    subject: 'proof',
    judge: ofCircle(
      ({ squarenessUmPerM: umPerM, uncertainUmPerM, meanDiameterMm, round }, { axis }, say) => ({
        umPerM,
        limitUmPerM: round.acceptedUmPerM,
        said: small =>
          `${small(umPerM)} ± ${small(uncertainUmPerM)} out of square over the ${say(meanDiameterMm, 'length', 0)} of the circle, against ${small(round.acceptedUmPerM)} accepted there`,
        mend: `it is longest across ${umPerM > 0 ? '45°' : '135°'}, so ${leaning(axis.name, round, umPerM)}`,
        narrow: 'Cut a larger circle, or measure it finer and in more directions.',
        noEllipse:
          'play cuts such flats, and leans them as axes do that are not square. Prove the reversal and take the play out, then cut again; a cut square does not mind it.',
      }),
    ),
  },
  'prove.cutSquare': {
    title: 'Axes square, by a square',
    subject: 'proof',
    judge: judgeRounds(
      circleRounds,
      (t, round, say) => {
        if (round.diagonalAMm === null && round.diagonalBMm === null) return null
        const { sideMm, diagonalAMm, diagonalBMm, acceptedUmPerM } = round
        const diagonalMm = sideMm * Math.SQRT2
        const wrong = [diagonalAMm, diagonalBMm].find(
          one => one !== null && Math.abs(one / diagonalMm - 1) > NO_SUCH_DIAGONAL,
        )
        if (wrong !== undefined)
          return noAdvice(
            `A square of ${say(sideMm, 'length', 1)} has diagonals of ${say(diagonalMm, 'length', 1)}: got ${say(wrong as number, 'length', 1)}. Was it typed in another unit, or is the side another?`,
          )
        const found = measuredSquare(t, round)
        if (!found) return noAdvice('Measure the other diagonal too: one alone says nothing.')
        const atIt = (umPerM: number) => (Math.abs(umPerM) * sideMm) / MM_PER_M
        const small = (umPerM: number) => say(atIt(umPerM), 'smallLength')
        const { umPerM, uncertainUmPerM } = found
        const figures = [atIt(umPerM), atIt(acceptedUmPerM), atIt(uncertainUmPerM)] as const
        const said = `${small(umPerM)} ± ${small(uncertainUmPerM)} out of square over a side of ${say(sideMm, 'length', 0)}, against ${small(acceptedUmPerM)} accepted there`
        return judgeFigure([umPerM, uncertainUmPerM, acceptedUmPerM], figures, {
          within: () => `${said}.`,
          beyond: () => `${said}: ${leaning(t.axis.name, round, umPerM)}`,
          cannotTell: () =>
            `${said}: these diagonals cannot tell. Cut a larger square, or measure over pins.`,
        })
      },
      { column: null },
    ),
  },
  'prove.circleScale': {
    title: 'Scales alike, by a circle',
    subject: 'proof',
    judge: ofCircle(({ scaleDifferenceUmPerM: umPerM, uncertainUmPerM, round }, { axis }) => {
      const limitUmPerM = (axis.goals.accuracyTargetUm / axis.goals.wantedTravelMm) * MM_PER_M
      return {
        umPerM,
        limitUmPerM,
        said: small =>
          `${axis.name} goes ${small(umPerM)} ± ${small(uncertainUmPerM)} ${umPerM < 0 ? 'less' : 'more'} than ${otherOf(round)} over the circle, against ${small(limitUmPerM)} accepted there`,
        mend: 'one of the two has its steps a millimetre wrong. A long move of each tells which.',
        narrow: 'A larger circle, or a finer gauge, would.',
        noEllipse: 'they say nothing of the scales. A long move of each axis does.',
      }
    }),
  },
})
