import type { Drawing } from '@/core/drawing/drawing'
import type { Solid } from '@/core/drawing/solid'
import type { EvaluationContext } from '@/core/evaluation/context'
import { blockDrawing, blockSolid, blockToMake } from '@/core/sheets/bearingBlock/drawing'
import { bungDrawing, bungSolid } from '@/core/sheets/holes/drawing'
import { measuredHole } from '@/core/sheets/holes/inputs'
import { screwDrawing, screwSteps } from '@/core/sheets/leadscrewEnds/drawing'
import { bracketSolid, bracketTemplate } from '@/core/sheets/template/drawing'

/** A thing that is made; each of its ways to show it throws NotKnown while a part or a dimension is not known. */
export interface Made {
  drawing: () => Drawing
  /** Null while something of it is not measured. */
  solid?: () => Solid | null
}

/**
 * What is made for an axis, by its names.
 *
 * @param title of the machine and the axis, before what is drawn
 */
export function thingsToMake(context: EvaluationContext, title: string): ReadonlyMap<string, Made> {
  const { axis, units } = context
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.section
  const [bracket, block] = [`${title}: nut bracket`, `${title}: bearing block`]
  const outline = { widthMm, heightMm }
  const boreMm = () => context.part('screw').nutBodyDiameterMm
  return new Map<string, Made>([
    [
      'nut-bracket',
      {
        drawing: () => bracketTemplate(bracket, axis.bracketHoles, outline, boreMm(), units),
        solid: () =>
          bracketSolid(
            bracket,
            axis.bracketHoles,
            outline,
            boreMm(),
            axis.dimensions.bracketThicknessMm.value,
          ),
      },
    ],
    ['screw', { drawing: () => screwDrawing(`${title}: screw`, screwSteps(context), units) }],
    [
      'bearing-block',
      {
        drawing: () => blockDrawing(block, blockToMake(context), context),
        solid: () => blockSolid(block, blockToMake(context)),
      },
    ],
    ...axis.holes.map((hole, index): [string, Made] => {
      const bung = `Bung for ${hole.label}`
      return [
        `bung-${index + 1}`,
        {
          drawing: () => {
            if (hole.depthMm === null)
              throw new Error(`Measure first, under Holes: how deep ${hole.label} is.`)
            return bungDrawing(bung, measuredHole(hole), hole.depthMm, units)
          },
          solid: () => (hole.depthMm === null ? null : bungSolid(bung, measuredHole(hole), hole.depthMm)),
        },
      ]
    }),
  ])
}
