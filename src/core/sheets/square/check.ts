import { defineChecks } from '../../evaluation/check'
import { finerThanGauge } from '../../readings/plausible'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, noAdvice, stepOf, told, turnWords } from '../shared/rounds/roundFinding'
import { doneSince } from '../shared/rounds/screws'
import { SQUARE_ROUNDS, type SquareRound } from './model'
import { squareOf, squareRounds } from './rounds'

/** Rounds this far apart along the rails tell the leads of the two screws apart. */
const FAR_APART_MM = 100
const M_PER_FOOT = 0.3048

/** A tape or a rule along a side is read to so much. */
const SIDE_READ_MM = 3

/**
 * What two diagonals of a rectangle are off by against its sides: in a parallelogram, however far out of square, the squares of both
 * come to those of all four sides. Null where they go together.
 */
export function diagonalsApart({
  diagonalAMm: a,
  diagonalBMm: b,
  sideAMm,
  sideBMm,
  readingUncertaintyMm,
}: Pick<SquareRound, 'diagonalAMm' | 'diagonalBMm' | 'sideAMm' | 'sideBMm' | 'readingUncertaintyMm'>): {
  eachMm: number
  offMm: number
} | null {
  if (a === null || b === null) return null
  const eachMm = Math.hypot(sideAMm, sideBMm)
  const meanMm = Math.sqrt((a ** 2 + b ** 2) / 2)
  const mayMm = ((sideAMm + sideBMm) * SIDE_READ_MM) / eachMm + 2 * readingUncertaintyMm
  return Math.abs(meanMm - eachMm) > mayMm ? { eachMm, offMm: Math.abs(meanMm - eachMm) } : null
}

/** A square of the shop is off by so much, and by so much for every metre of its edge. */
const SQUARE_UM = 20
const SQUARE_UM_PER_M = 100
/** A square that is truly off reads the same again, to this. */
const SAME_UM = 10
const ownUm = ({ firstUm, turnedUm }: SquareRound): number | null =>
  firstUm === null || turnedUm === null ? null : (firstUm + turnedUm) / 2

/** Readings by which the square would be further off than such squares are, unless the round before says so too. */
function oddSquare(
  round: SquareRound,
  before: SquareRound | undefined,
): { ownUm: number; mayUm: number } | null {
  const own = ownUm(round)
  const mayUm = SQUARE_UM + (SQUARE_UM_PER_M * round.edgeMm) / 1000
  if (own === null || Math.abs(own) <= mayUm) return null
  const was = before?.how === 'square' && before.edgeMm === round.edgeMm ? ownUm(before) : null
  return was !== null && Math.abs(was - own) <= SAME_UM ? null : { ownUm: Math.abs(own), mayUm }
}

/** Whether the sides are those that a new round starts with. */
const isUsual = ({ sideAMm, sideBMm }: SquareRound) =>
  sideAMm === SQUARE_ROUNDS.of.sideAMm.blank && sideBMm === SQUARE_ROUNDS.of.sideBMm.blank

export const SQUARE_CHECKS = defineChecks({
  'align.square': {
    title: 'Square',
    subject: 'line',
    judge: judgeRounds(squareRounds, (t, round, say) => {
      const { acceptedUmPerM, how } = round
      if (how === 'square') {
        const stepUm = stepOf(round, 'square')
        const fine = [round.firstUm, round.turnedUm].find(um => um !== null && finerThanGauge(um, stepUm))
        if (fine !== undefined && fine !== null)
          return noAdvice(
            `A rise of ${say(fine, 'smallLength')} is finer than the gauge can show: was it typed in another unit?`,
          )
      }
      const apart = how === 'diagonals' ? diagonalsApart(round) : null
      if (apart)
        return noAdvice(
          `These are no two diagonals of such a rectangle: with sides of ${say(round.sideAMm, 'length', 1)} and ${say(round.sideBMm, 'length', 1)}${isUsual(round) ? ' (as they were filled in: measure them)' : ''} the squares of both come to what two of ${say(apart.eachMm, 'length', 1)} do, and these are ${say(apart.offMm, 'length', 1)} off that. Was one of the four mistyped? Nothing is to be turned by it.`,
        )
      const found = squareOf(t, round)
      if (!found)
        return noAdvice(
          how === 'diagonals'
            ? 'Read both diagonals between the same four marks.'
            : 'Read the rise along the square, turn the square over about its long edge, and read again: its own error falls out.',
        )
      const { umPerM, uncertainUmPerM, shiftMm } = found
      const odd = how === 'square' ? oddSquare(round, t.axis.squareRounds.at(-2)) : null
      if (odd)
        return noAdvice(
          `By these two rises the square itself would be off by ${say(odd.ownUm, 'smallLength')} over its edge, where one of the shop is good to ${say(odd.mayUm, 'smallLength')}. Was a figure mistyped, or did the base move? Read both again; a square that is so far off reads the same in the next round.`,
        )
      const over = (um: number) =>
        t.units === 'inch'
          ? `${say(Math.abs(um) * M_PER_FOOT, 'smallLength')} a foot`
          : `${say(Math.round(Math.abs(um)), 'smallLength')} a metre`
      const acceptedMm = (acceptedUmPerM / 1e6) * t.axis.driveSizes.screwSpacingMm
      const uncertainMm = (uncertainUmPerM / 1e6) * t.axis.driveSizes.screwSpacingMm
      const figures = [Math.abs(shiftMm), acceptedMm, uncertainMm] as const
      const said = `${over(umPerM)} ± ${over(uncertainUmPerM)} out of square, against ${over(acceptedUmPerM)} accepted`
      const since = t.axis.drive.screws === 2 ? doneSince(t.wholeAxis, round.startedAt) : null
      if (since !== null)
        return noAdvice(
          `${said} when it was read; since then: ${since}. Home again, and square again before the screws are coupled.`,
        )
      switch (told(umPerM, uncertainUmPerM, acceptedUmPerM)) {
        case 'within':
          return against('holds', 'length', figures, () => `Square: ${said}.`)
        case 'cannot-tell':
          return noAdvice(
            `${said}: these readings cannot tell. ${how === 'diagonals' ? 'A larger rectangle, or a trammel bar instead of a tape, would.' : 'A longer square would.'}`,
          )
        case 'beyond': {
          const absurd = notMeant('gantry', shiftMm, 'One side would be ahead by', say)
          if (absurd) return absurd
          if (t.axis.drive.screws !== 2)
            return against(
              'fails',
              'length',
              figures,
              () =>
                `${said}: the axis ${umPerM > 0 ? 'rises' : 'falls'} along the square. Swivel what carries it by ${say(Math.abs(shiftMm), 'length', 2)} over ${say(t.axis.driveSizes.screwSpacingMm, 'length', 0)}, or shim one side of it.`,
            )
          const lead = t.catalogue.screw.get(t.axis.parts.screw ?? '')?.leadMm
          const turnDeg = lead === undefined ? null : (Math.abs(shiftMm) / lead) * 360
          return against(
            'fails',
            'length',
            figures,
            () =>
              `${said}. The second side is ${shiftMm > 0 ? 'ahead' : 'behind'}: with the coupling of the screws open, turn its screw ${shiftMm > 0 ? 'back' : 'forward'} by ${say(Math.abs(shiftMm), 'length', 2)}${turnDeg === null ? '' : ` (${say(turnDeg, 'angle', 0)}, ${turnWords(turnDeg)})`}. Then home again, and square again before you couple them.`,
          )
        }
      }
    }),
  },
  'align.leadMismatch': {
    title: 'Leads of the two screws',
    subject: 'screw',
    judge(t, say) {
      if (t.axis.drive.screws !== 2) return null
      const [before, last] = t.axis.squareRounds.slice(-2)
      // Only two rounds with nothing done between them, at two places, say something of the screws.
      if (!before || !last || last.done !== null || Math.abs(last.atMm - before.atMm) < FAR_APART_MM)
        return null
      const [first, second] = [squareOf(t, before, 'squareBefore'), squareOf(t, last)]
      if (!first || !second) return null
      const apartMm = last.atMm - before.atMm
      const growsMm = second.shiftMm - first.shiftMm
      const perM = (growsMm / apartMm) * 1000
      const spacingMm = t.axis.driveSizes.screwSpacingMm
      const uncertainMm = (Math.hypot(first.uncertainUmPerM, second.uncertainUmPerM) / 1e6) * spacingMm
      const acceptedMm = ((last.acceptedUmPerM / 1e6) * spacingMm * Math.abs(apartMm)) / 1000
      const said = `From ${say(before.atMm, 'length', 0)} to ${say(last.atMm, 'length', 0)} one side gains ${say(Math.abs(growsMm), 'length', 2)} ± ${say(uncertainMm, 'length', 2)} on the other, ${say(Math.abs(perM), 'length', 2)} a metre`
      const figures = [Math.abs(growsMm), acceptedMm] as const
      return judgeFigure(
        [growsMm, uncertainMm, acceptedMm],
        figures,
        {
          within: () => `${said}: the leads agree.`,
          beyond: () =>
            `${said}: the leads differ. With a motor on each screw, give the second its own steps a millimetre; with one motor, square it at the middle of the travel and live with half of it at the ends.`,
          cannotTell: () => `${said}: these readings cannot tell. Read further apart, or finer.`,
        },
        'length',
      )
    },
  },
})
