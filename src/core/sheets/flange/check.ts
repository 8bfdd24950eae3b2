import { attempt } from '../../evaluation/attempt'
import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { reachOf } from '../shared/rounds/dragShares'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, clockOf, expanded, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { shimWords } from '../shared/rounds/shims'
import { nearestMm, SUPPORT_STIFFNESS_N_PER_UM, sideLoad } from '../shared/rounds/sideLoad'
import { lifeLeftWords } from '../shared/rounds/worth'
import { faceTilt } from './calculation'
import type { FlangeRound } from './model'
import { flangeRounds, sweptOf } from './rounds'

/** What readings spread about a plane by, against what they tilt by: beyond it they are no plane. */
const NO_PLANE = 1 / 3
const FACE_WORDS: Record<FlangeRound['face'], string> = {
  'nut-flange': 'under the flange of the nut',
  casting: 'on the face of the casting',
  'motor-plate': 'under the plate of the motor',
}

/** Of x / (x^3 / 3EI + 1 / k) the largest lies at so much of the reach (3EI / k)^(1/3). */
const WORST_AT = 0.5 ** (1 / 3)

/** What a nut that is tilted costs: the screw leaves it askew, and the nearest block pushes it back. */
function worthWords(t: EvaluationContext, { face }: FlangeRound, tiltUmPerMm: number, say: Say): string {
  if (face === 'motor-plate') return ''
  const load = attempt(() => {
    const { fixed, far } = nearestMm(t)
    const reachMm = reachOf(t.part('screw').rootDiameterMm, SUPPORT_STIFFNESS_N_PER_UM)
    const distanceMm = Math.max(Math.min(fixed, far), reachMm * WORST_AT)
    return { distanceMm, ...sideLoad(t, 'flange.worth', tiltUmPerMm * distanceMm, distanceMm) }
  }).value
  return load
    ? ` Left so, the screw leaves the nut askew, and a block pushes it back, most with the nut ${say(load.distanceMm, 'length', 0)} from it, by about ${say(load.sideForceN, 'force', 0)}: ${lifeLeftWords(load.lifeShare, say)} of the nut's life would be left.`
    : ''
}

export const FLANGE_CHECKS = defineChecks({
  'align.flange': {
    title: 'Face out of square',
    subject: 'nut',
    judge: judgeRounds(flangeRounds, (t, round, say, small) => {
      const readings = sweptOf(round)
      if (new Set(readings.map(({ angleDeg }) => angleDeg % 360)).size < 3)
        return noAdvice(
          'Sweep the face and read at three or more angles; six tell as well whether it is flat.',
        )
      const { acceptedUm, face } = round
      const stepUm = stepOf(round, 'flange')
      const deg = (value: number) => `${say(value, 'angle', 0)} (${clockOf(value)})`
      const { radiusMm, boltCircleMm } = round
      const tilt = t.figure('faceTilt', faceTilt, { readings, radiusMm, boltCircleMm })
      const { shimUm, shimAtDeg, proudAtDeg, residualUm, tiltUmPerMm } = tilt
      const spareReadings = readings.length - 3
      const spreadUm = Math.max(residualUm ?? 0, stepUm / Math.sqrt(12))
      const spreadOver = (spreadUm / radiusMm) * boltCircleMm
      if (
        residualUm !== null &&
        spreadOver > acceptedUm / 2 &&
        residualUm > Math.max(stepUm, NO_PLANE * tiltUmPerMm * radiusMm)
      )
        return against(
          'fails',
          'smallLength',
          [spreadOver, acceptedUm],
          () =>
            `It is no plane: the readings lie ${small(residualUm)} about the best one. A shim would rock. Machine it, scrape it, or bed it in filled resin under the screws' light pull.`,
        )
      const uncertainUm = expanded(
        (spreadUm * Math.sqrt(2 / readings.length) * boltCircleMm) / radiusMm,
        spareReadings,
      )
      const unchecked =
        spareReadings === 0 ? ' Three readings always make a plane: a fourth would check it.' : ''
      const absurd = notMeant('shim', shimUm, 'It would be out of square over the bolt circle by', say)
      if (absurd) return absurd
      const figures = [shimUm, acceptedUm] as const
      return judgeFigure([shimUm, uncertainUm, acceptedUm], figures, {
        within: () =>
          `Square within ${small(shimUm)} over the bolt circle, against ${small(acceptedUm)} accepted.${unchecked}`,
        beyond: () =>
          `It stands proud at ${deg(proudAtDeg)}. Put ${small(shimUm)} ± ${small(uncertainUm)} ${FACE_WORDS[face]} at ${deg(shimAtDeg)}: ${shimWords(shimUm, t.shop.shimStockMm, say)}. Tighten crosswise and sweep again.${worthWords(t, round, tiltUmPerMm, say)}${unchecked}`,
        cannotTell: () =>
          `Out of square by ${small(shimUm)} ± ${small(uncertainUm)} over the bolt circle, against ${small(acceptedUm)} accepted: these readings cannot tell. Sweep further out, or at more angles.`,
      })
    }),
  },
})
