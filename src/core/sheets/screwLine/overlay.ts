import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'
import { isUpright, judgePlane, lineSetting } from './judgePlane'

/** How the screw lies, much enlarged, and what its blocks stand off by. */
export const screwLineOverlay: DrawOverlay = context => {
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
  const sayFinely = (um: number) => say(um, 'smallLength', units, units === 'mm' && um >= 10 ? 0 : undefined)
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
      ...(axis.ends === 'fixed-free' ? [] : [{ part: 'far' as const, text: stands(correctionFarUm) }]),
    ],
  }
}
