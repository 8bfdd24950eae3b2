import type { Drawing } from '@/core/drawing/drawing'
import type { EvaluationContext } from '@/core/evaluation/context'
import { bungDrawing } from '@/core/sheets/holes/drawing'
import { measuredHole } from '@/core/sheets/holes/inputs'
import { screwDrawing, screwSteps } from '@/core/sheets/leadscrewEnds/drawing'
import { bracketTemplate } from '@/core/sheets/template/drawing'

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
