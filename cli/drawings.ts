import type { Drawing } from '@/core/drawing/drawing'
import type { Solid } from '@/core/drawing/solid'
import type { EvaluationContext } from '@/core/evaluation/context'
import { bungDrawing, bungSolid } from '@/core/sheets/holes/drawing'
import { measuredHole } from '@/core/sheets/holes/inputs'
import { screwDrawing, screwSteps } from '@/core/sheets/leadscrewEnds/drawing'
import { bracketSolid, bracketTemplate } from '@/core/sheets/template/drawing'

/**
 * The drawings of an axis by their names; each is made when it is asked for.
 *
 * @param title of the machine and the axis, before what is drawn
 * @throws NotKnown, when it is made, while a part or a dimension is not known
 */
export function drawingsOf(context: EvaluationContext, title: string): ReadonlyMap<string, () => Drawing> {
  const { axis, units } = context
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.section
  return new Map<string, () => Drawing>([
    [
      'nut-bracket',
      () =>
        bracketTemplate(
          `${title}: nut bracket`,
          axis.bracketHoles,
          { widthMm, heightMm },
          context.part('screw').nutBodyDiameterMm,
          units,
        ),
    ],
    ['screw', () => screwDrawing(`${title}: screw`, screwSteps(context), units)],
    ...axis.holes.map((hole, index): [string, () => Drawing] => [
      `bung-${index + 1}`,
      () => {
        if (hole.depthMm === null) throw new Error(`Measure first, under Holes: how deep ${hole.label} is.`)
        return bungDrawing(`Bung for ${hole.label}`, measuredHole(hole), hole.depthMm, units)
      },
    ]),
  ])
}

/** The bodies of an axis by the names of their drawings; null while something of one is not measured. */
export function solidsOf(context: EvaluationContext, title: string): ReadonlyMap<string, () => Solid | null> {
  const { axis } = context
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.section
  return new Map<string, () => Solid | null>([
    [
      'nut-bracket',
      () =>
        bracketSolid(
          `${title}: nut bracket`,
          axis.bracketHoles,
          { widthMm, heightMm },
          context.part('screw').nutBodyDiameterMm,
          axis.dimensions.bracketThicknessMm.value,
        ),
    ],
    ...axis.holes.map((hole, index): [string, () => Solid | null] => [
      `bung-${index + 1}`,
      () =>
        hole.depthMm === null ? null : bungSolid(`Bung for ${hole.label}`, measuredHole(hole), hole.depthMm),
    ]),
  ])
}
