import { type Filled, filled, isFilled } from '../../evaluation/filled'
import { holeEnlarge } from './calculation'
import { HOLES, type Hole } from './model'

/** What must be measured of a hole before it can be judged. */
export const HOLE_NEEDS = [
  'existingDiameterMm',
  'requiredDiameterMm',
  'centreOffsetMm',
  'edgeDistanceMm',
] as const
export type MeasuredHole = Filled<Hole, (typeof HOLE_NEEDS)[number]>

/** A hole that is measured. @throws NotKnown naming what is not entered yet */
export const measuredHole = (hole: Hole): MeasuredHole =>
  filled(hole, HOLE_NEEDS, HOLES.of, { sheet: 'holes', stage: 'room', name: hole.label })

/** Inputs of the calculation from what was measured of a hole. */
export const holeInputs = (
  { id: _, label: __, depthMm: ___, ...hole }: MeasuredHole,
  cutterSizesMm: readonly number[],
): Parameters<typeof holeEnlarge>[0] => ({ ...hole, cutterSizesMm: [...cutterSizesMm] })

/** Those of the holes that are measured, each with what is to be done about it. */
export const judgedHoles = (holes: readonly Hole[], cutterSizesMm: readonly number[]) =>
  holes
    .filter(hole => isFilled(hole, HOLE_NEEDS))
    .map(hole => ({ hole, result: holeEnlarge(holeInputs(hole, cutterSizesMm)) }))
