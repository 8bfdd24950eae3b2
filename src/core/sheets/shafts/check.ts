import { degrees, radians } from '../../calculation/constants'
import { defineChecks } from '../../evaluation/check'
import { isBelted } from '../../machine/drive/transmission'
import { couplerMisalignmentUse } from '../../machine/sizing/coupler'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { leastWaveUm } from '../shared/rounds/resolution'
import { against, clockOf, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { shimWords } from '../shared/rounds/shims'
import { BELT_DEG, beltRounds, couplerRead, couplerRounds, pulleyLine } from './rounds'

/** Of what a coupler bears so much is left for heat, load and wear. */
const GOOD_USE = 0.7

export const SHAFTS_CHECKS = defineChecks({
  'align.coupler': {
    title: 'Motor in line with the screw',
    subject: 'coupler',
    judge: judgeRounds(couplerRounds, (t, round, say, small) => {
      if (isBelted(t)) return null
      const found = couplerRead(t)
      if (!found)
        return noAdvice(
          'Turn both shafts together and read rim and face at three or more angles each: four, a quarter turn apart, check one another.',
        )
      const stepUm = stepOf(round, 'shafts')
      const { parallelMm, parallelTowardsDeg, angularDeg, openAtDeg } = found
      const { parallelLimitMm, angularLimitDeg, axialLimitMm } = t.part('coupler')
      const { use } = t.figure('shaftsUse', couplerMisalignmentUse, {
        parallelMm,
        angularDeg,
        axialMm: t.dimension('shaftAxialMm'),
        parallelLimitMm,
        angularLimitDeg,
        axialLimitMm,
      })
      const said = `${say(parallelMm, 'length', 2)} beside and ${say(angularDeg, 'angle', 2)} at an angle use ${say(use, 'share')} of what the coupler bears`
      // What the step of the gauge leaves open, both ways.
      const leastUm = leastWaveUm(stepUm, round.stations.length)
      const shareAt = (off: number) =>
        couplerMisalignmentUse({
          parallelMm: Math.max(0, parallelMm + (off * leastUm) / 1000),
          angularDeg: Math.max(0, angularDeg + off * degrees(Math.atan(leastUm / 1000 / round.faceRadiusMm))),
          axialMm: t.dimension('shaftAxialMm'),
          parallelLimitMm,
          angularLimitDeg,
          axialLimitMm,
        }).use
      if (shareAt(-1) <= GOOD_USE && shareAt(1) > 1)
        return noAdvice(
          `${said}, and with marks of ${small(stepUm)} it may be from ${say(shareAt(-1), 'share')} to ${say(shareAt(1), 'share')}: these readings cannot tell. Read with a finer gauge, or with the tip on the face further out.`,
        )
      if (use <= GOOD_USE) return against('holds', 'share', [use, 1], () => `${said}. Leave it.`)
      const upMm = parallelMm * Math.cos(radians(parallelTowardsDeg))
      const rightMm = parallelMm * Math.sin(radians(parallelTowardsDeg))
      const shimUm = Math.tan(radians(angularDeg)) * round.plateBoltsMm * 1000
      const shimAtDeg = (openAtDeg + 180) % 360
      const absurd =
        notMeant('push', parallelMm * 1000, 'The shafts would stand beside each other by', say) ??
        notMeant('shim', shimUm, 'Between plate and motor would go', say)
      if (absurd) return absurd
      return against(
        use <= 1 ? 'close' : 'fails',
        'share',
        [use, 1],
        () =>
          `${said}. Seen from behind the motor, move it ${say(Math.abs(upMm), 'length', 2)} ${upMm >= 0 ? 'up' : 'down'} and ${say(Math.abs(rightMm), 'length', 2)} to the ${rightMm >= 0 ? 'right' : 'left'}. The hubs stand open at ${clockOf(openAtDeg)}: ${small(shimUm)} between plate and motor at ${clockOf(shimAtDeg)}, ${shimWords(shimUm, t.shop.shimStockMm, say)}.`,
      )
    }),
  },
  'align.belt': {
    title: 'Pulleys in line',
    subject: 'belt',
    judge: judgeRounds(beltRounds, (t, round, say) => {
      if (!isBelted(t)) return null
      const line = pulleyLine(round)
      if (!line)
        return noAdvice(
          'Read the gap at two or more places across the pulley, with feelers or shims under the straightedge.',
        )
      stepOf(round, 'shafts')
      const besideDeg = degrees(Math.atan(Math.abs(line.besideUm) / 1000 / t.axis.driveSizes.beltCentresMm))
      const tiltDeg = degrees(Math.atan(Math.abs(line.tiltUmPerMm) / 1000))
      const all = besideDeg + tiltDeg
      const said = `The pulleys stand ${say(Math.abs(line.besideUm), 'smallLength')} beside each other and ${say(tiltDeg, 'angle', 2)} at an angle: the belt runs ${say(all, 'angle', 2)} off, against ${say(BELT_DEG, 'angle', 2)} it bears`
      if (all <= BELT_DEG) return against('holds', 'angle', [all, BELT_DEG], () => `${said}.`)
      const absurd = notMeant('push', line.besideUm, 'The pulleys would stand beside each other by', say)
      if (absurd) return absurd
      const moves = [
        besideDeg > BELT_DEG / 2 &&
          `move the screw's pulley ${say(Math.abs(line.besideUm), 'smallLength')} ${line.besideUm > 0 ? 'towards' : 'away from'} the straightedge's face`,
        tiltDeg > BELT_DEG / 2 &&
          `tilt the motor: ${say(Math.abs(line.tiltUmPerMm) * round.stations.reduce((most, { acrossMm }) => Math.max(most, acrossMm), 0), 'smallLength')} over the width of the pulley`,
      ].filter(Boolean)
      return against('fails', 'angle', [all, BELT_DEG], () => `${said}. Next: ${moves.join('; ')}.`)
    }),
  },
})
