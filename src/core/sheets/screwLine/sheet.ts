import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { SCREW_LINE_CHECKS } from './check'
import { isUpright, judgePlane, lineSetting } from './judgeRound'
import { ROUNDS } from './model'

/** The line of the screw, read round by round, and which block to move. */
export const screwLine = defineSheet({
  id: 'screwLine',
  stage: 'align',
  title: 'Line of the screw',
  fields: { rounds: ROUNDS },
  checks: SCREW_LINE_CHECKS,
  overlay(context) {
    const { axis, units } = context
    const round = axis.rounds.at(-1)
    const spanMm = axis.dimensions.supportSpanMm.value
    if (!round || spanMm === null) return {}
    const advice = judgePlane(
      round,
      'height',
      lineSetting(context, spanMm),
      axis.goals.alignmentTargetUm,
      round.gaugeStepUm ?? 0,
    )
    if (advice.kind === 'too-few') return {}
    const { correctionFixedUm, correctionFarUm } = advice.line
    const [low, high] = isUpright(axis) ? ['too far in', 'too far out'] : ['low', 'high']
    const sayFinely = (um: number) =>
      say(um, 'smallLength', units, units === 'mm' && um >= 10 ? 0 : undefined)
    // What must be raised stands low.
    const stands = (correctionUm: number) =>
      `${sayFinely(Math.abs(correctionUm))} ${correctionUm > 0 ? low : high}`
    return {
      bend: {
        fixedUm: -correctionFixedUm,
        farUm: -correctionFarUm,
        label: `dashed: the screw ${isUpright(axis) ? 'out from the ways' : 'in height'}, much enlarged`,
      },
      marks: [
        { part: 'bearing', text: stands(correctionFixedUm) },
        { part: 'far', text: stands(correctionFarUm) },
      ],
    }
  },
})
