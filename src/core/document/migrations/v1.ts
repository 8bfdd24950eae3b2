import { ofAxes, onEachAxis, type Plain } from './plain'

// Version 1 to 2: belts, two screws, handwheels, duty, and what the accuracy of a drive rests on.

const assumed = (value: number) => ({ value, provenance: 'assumed' })

/** What version 2 asks of an axis over version 1. */
const axisFromV1 = (axis: Plain): Plain => ({
  ...axis,
  dimensions: {
    ...(axis.dimensions as Plain),
    shaftParallelMm: assumed(0.05),
    shaftAngleDeg: assumed(0.3),
    shaftAxialMm: assumed(0.1),
  },
  goals: { ...(axis.goals as Plain), accuracyTargetUm: 100, temperatureRiseK: 8 },
  parts: { ...(axis.parts as Plain), belt: null },
  drive: { transmission: 'direct', screws: 1, microsteps: 8, handwheelKept: false },
  driveSizes: { screwSpacingMm: 600, offCentreMm: 150, handwheelRadiusMm: 60, beltCentresMm: 120 },
  duty: null,
  variants: [],
})

const jobFromV1 = onEachAxis(axisFromV1)

/** A job of version 1 with its history. */
export const fromV1 = ofAxes(jobFromV1, axisFromV1)
