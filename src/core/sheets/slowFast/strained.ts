import type { Axis } from '../../document/axis'
import { numbered } from '../../field/field'
import { NOTHING_NOTED } from '../shared/proofs/conditions'
import { defineStrained } from '../shared/strained/strained'

/** The same test slow and cold, fast and cold, slow and warm: so much more is lost fast and warm. */
const mannered = (heights: number): Axis['tests'] =>
  (
    [
      ['slow', 100, 'cold', 0],
      ['fast', 3000, 'cold', heights],
      ['warm', 100, 'warm', heights],
    ] as const
  ).map(([id, feedMmPerMin, warmth, moreUm], index) => ({
    ...NOTHING_NOTED,
    id,
    startedAt: `2026-11-0${index + 1}T17:00:00.000Z`,
    finishedAt: null,
    label: id,
    gaugeStepUm: 0.1,
    feedMmPerMin,
    warmth,
    stations: numbered('place', [
      {
        positionMm: 123,
        approachPositiveUm: [0, 0.1, 0, 0.1, 0].map(um => um + 4 + moreUm),
        approachNegativeUm: [0, -0.1, 0, -0.1, 0],
      },
    ]),
  }))

export const SLOW_FAST_STRAINED = defineStrained({
  states: {
    'prove.slowFast': ['holds', 'fails'],
    'prove.coldWarm': ['holds', 'fails'],
  },
  strain: (axis, by) => ({
    tests: [...mannered(by.heights), ...axis.tests],
  }),
})
