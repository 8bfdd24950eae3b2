import type { Axis } from '../document/axis'
import { numbered } from '../field/field'

/** What every round has. */
const begun = (id: string, startedAt: string, done: string | null = null) => ({
  id,
  startedAt,
  finishedAt: startedAt.replace(':00.000Z', ':30.000Z'),
  done,
  taken: {},
  closedWith: null,
})
/** What a round of a screw has. */
const onScrew = (
  id: string,
  startedAt: string,
  done: string | null = null,
  screw: 'first' | 'second' = 'first',
) => ({ ...begun(id, startedAt, done), screw })

const plays = (all: [number, number][]) =>
  numbered(
    'place',
    all.map(([positionMm, playUm]) => ({ positionMm, playUm })),
  )
const swept = (readings: number[]) =>
  numbered(
    'angle',
    readings.map((readingUm, index) => ({ angleDeg: (360 / readings.length) * index, readingUm })),
  )
const hubs = (readings: [number, number][]) =>
  numbered(
    'angle',
    readings.map(([rimUm, faceUm], index) => ({ angleDeg: (360 / readings.length) * index, rimUm, faceUm })),
  )

const squared = (
  id: string,
  startedAt: string,
  atMm: number,
  [diagonalAMm, diagonalBMm]: [number, number],
): Axis['squareRounds'][number] => ({
  ...begun(id, startedAt),
  finishedAt: null,
  how: 'diagonals',
  atMm,
  acceptedUmPerM: 300,
  sideAMm: 1800,
  sideBMm: 1000,
  readingUncertaintyMm: 0.05,
  diagonalAMm,
  diagonalBMm,
  gaugeStepUm: null,
  tipLifted: 'more',
  edgeMm: 250,
  firstUm: null,
  turnedUm: null,
  stations: [],
})

/** Skarrow, table: a gib that was slack and is set, a motor out of line with its screw, friction read before the screw went in. */
export const ALIGNED_SKARROW_X = {
  gibRounds: [
    {
      ...begun('gib-1', '2026-11-15T10:10:00.000Z'),
      gaugeStepUm: 1,
      kind: 'tapered',
      targetUm: 15,
      taperRatio: 50,
      screwPitchMm: 1.25,
      locks: 'nowhere',
      stations: plays([
        [0, 48],
        [110, 46],
        [220, 39],
        [330, 44],
        [430, 51],
      ]),
    },
    {
      ...begun('gib-2', '2026-11-21T15:20:00.000Z', 'gib pushed in by one turn of its screw'),
      gaugeStepUm: 1,
      kind: 'tapered',
      targetUm: 15,
      taperRatio: 50,
      screwPitchMm: 1.25,
      locks: 'nowhere',
      stations: plays([
        [0, 23],
        [110, 21],
        [220, 14],
        [330, 19],
        [430, 26],
      ]),
    },
  ],
  preloadRounds: [
    {
      ...onScrew('preload-1', '2026-10-18T17:20:00.000Z'),
      set: 'loose',
      gaugeStepUm: 1,
      playUm: 0,
      turnedDeg: 8,
      leverMm: 100,
      scaleStepN: 0.1,
      pullBeforeN: 0.9,
      pullAfterN: 1.1,
      stations: [],
    },
  ],
  couplerRounds: [
    {
      ...onScrew('coupler-1', '2026-11-13T18:30:00.000Z'),
      gaugeStepUm: 10,
      faceRadiusMm: 12,
      armSagUm: null,
      tipLifted: 'more',
      plateBoltsMm: 66.7,
      stations: hubs([
        [-40, 20],
        [-130, 60],
        [-90, 40],
        [40, -20],
        [130, -60],
        [90, -40],
      ]),
    },
    {
      ...onScrew('coupler-2', '2026-11-13T19:20:00.000Z', 'motor moved over, a shim under its plate'),
      gaugeStepUm: 10,
      faceRadiusMm: 12,
      armSagUm: null,
      tipLifted: 'more',
      plateBoltsMm: 66.7,
      stations: hubs([
        [-10, 20],
        [-40, 40],
        [-30, 20],
        [10, -20],
        [40, -40],
        [30, -20],
      ]),
    },
  ],
  overhangRounds: [
    {
      ...begun('overhang-1', '2026-10-19T17:40:00.000Z'),
      overhangMm: 210,
      wayHalfLengthMm: 160,
      weightArmMm: 280,
      weightOnKg: 35,
      gaugeStepUm: null,
      withoutUm: null,
      withUm: null,
      againUm: null,
      stations: [],
    },
  ],
  waysRounds: [
    {
      ...begun('ways-1', '2026-10-08T18:10:00.000Z'),
      massKg: 65,
      scaleStepN: 1,
      stations: numbered('pull', [
        { addedMassKg: 0, pullN: 105 },
        { addedMassKg: 12, pullN: 117 },
        { addedMassKg: 24, pullN: 130 },
        { addedMassKg: 36, pullN: 143 },
      ]),
    },
  ],
} satisfies Partial<Axis>

/** Skarrow, saddle: the boss under the nut is a rough casting; its screw's far journal runs out. */
export const ALIGNED_SKARROW_Y = {
  flangeRounds: [
    {
      ...onScrew('flange-1', '2026-11-22T14:05:00.000Z'),
      finishedAt: null,
      face: 'casting',
      gaugeStepUm: 10,
      tipLifted: 'more',
      radiusMm: 18,
      boltCircleMm: 36,
      acceptedUm: 20,
      stations: swept([40, 110, 60, -50, -110, -60]),
    },
  ],
  runOutRounds: [
    {
      ...onScrew('run-out-1', '2026-11-22T13:30:00.000Z'),
      finishedAt: null,
      gaugeStepUm: 10,
      stations: numbered('place', [
        { where: 'drive', wholeUm: 20, toNutMm: null },
        { where: 'fixed', wholeUm: 10, toNutMm: null },
        { where: 'far', wholeUm: 260, toNutMm: null },
      ] as const),
    },
  ],
  // It binds as the nut comes near the motor: the fixed block was bolted down off the nut's line.
  dragRounds: [
    {
      ...onScrew('drag-1', '2026-11-22T16:40:00.000Z'),
      finishedAt: null,
      by: 'scale',
      leverMm: 100,
      step: 0.1,
      half: 'whole',
      stations: numbered(
        'place',
        [
          [50, 5.9, 6.1],
          [95, 3.9, 3.8],
          [140, 3.4, 3.5],
          [185, 3.4, 3.3],
          [230, 3.3, 3.4],
          [270, 3.5, 3.4],
        ].map(([positionMm = 0, away = 0, towards = 0]) => ({ positionMm, away, towards })),
      ),
    },
  ],
} satisfies Partial<Axis>

/** Ostrey, cross slide: its gib walks with the slide. */
export const ALIGNED_OSTREY_X = {
  gibRounds: [
    {
      ...begun('gib-1', '2026-11-24T19:00:00.000Z'),
      finishedAt: null,
      gaugeStepUm: 12.7,
      kind: 'tapered',
      targetUm: 20,
      taperRatio: 48,
      screwPitchMm: 1.0583,
      locks: 'one-way',
      stations: plays([
        [0, 38.1],
        [60, 25.4],
        [120, 50.8],
      ]),
    },
  ],
  beltRounds: [
    {
      ...onScrew('belt-1', '2026-11-24T19:40:00.000Z'),
      finishedAt: null,
      gaugeStepUm: 25.4,
      stations: numbered('gap', [
        { acrossMm: 0, gapUm: 203.2 },
        { acrossMm: 12.7, gapUm: 254 },
        { acrossMm: 25.4, gapUm: 330.2 },
      ]),
    },
  ],
} satisfies Partial<Axis>

const LONG_PLACES_MM = [200, 1400, 2200, 2500]
const readOnScrew = (
  id: string,
  startedAt: string,
  screw: 'first' | 'second',
  heights: number[],
  sides: number[],
): Axis['rounds'][number] => ({
  ...onScrew(id, startedAt, null, screw),
  clampedAtMm: 200,
  tight: 'both',
  turnedTo: 'mark',
  tipLifted: 'more',
  halfTurnHeightUm: heights[1] ?? null,
  halfTurnSideUm: sides[1] ?? null,
  gaugeStepUm: 10,
  stations: numbered(
    'place',
    LONG_PLACES_MM.map((positionMm, index) => ({
      positionMm,
      heightUm: heights[index] ?? null,
      sideUm: sides[index] ?? null,
    })),
  ),
})

/** Long Tom, length: each of its screws, the second rail against the first, and the gantry by its diagonals. */
export const ALIGNED_LONG_TOM_X = {
  // Each screw by itself, its own sag in the readings: the second hangs low at its far end.
  rounds: [
    readOnScrew('line-1', '2026-11-22T12:00:00.000Z', 'first', [0, -1400, -430, -40], [0, 0, 0, 0]),
    readOnScrew('line-2', '2026-11-22T12:40:00.000Z', 'second', [0, -1550, -680, -320], [0, 0, -5, 0]),
  ],
  railRounds: [
    {
      ...begun('rail-1', '2026-11-22T10:00:00.000Z'),
      how: 'second',
      gaugeStepUm: 10,
      tipLifted: 'more',
      acceptedUm: 40,
      baseMm: 150,
      screwPitchMm: 80,
      stations: numbered(
        'place',
        [
          [0, 0],
          [480, 50],
          [960, 110],
          [1440, 150],
          [1920, 210],
          [2300, 250],
        ].map(([positionMm = 0, readingUm = 0]) => ({ positionMm, readingUm, slopeUmPerM: null })),
      ),
    },
  ],
  squareRounds: [
    squared('square-1', '2026-11-22T15:00:00.000Z', 300, [2060.4, 2057.9]),
    squared('square-2', '2026-11-22T15:30:00.000Z', 1900, [2060.75, 2057.55]),
  ],
} satisfies Partial<Axis>

/** Long Tom, across: the motor draws the end of its beam down. */
export const ALIGNED_LONG_TOM_Y = {
  overhangRounds: [
    {
      ...begun('overhang-1', '2026-11-23T18:00:00.000Z'),
      finishedAt: null,
      overhangMm: null,
      wayHalfLengthMm: null,
      weightArmMm: 150,
      weightOnKg: 0,
      gaugeStepUm: 10,
      withoutUm: 0,
      withUm: -140,
      againUm: 0,
      stations: [],
    },
  ],
  // A bent screw: tight and free once a turn, the coupler off.
  turnRounds: [
    {
      ...onScrew('turn-1', '2026-11-23T18:40:00.000Z'),
      finishedAt: null,
      by: 'scale',
      leverMm: 100,
      step: 0.1,
      coupled: 'off',
      nutAtMm: 620,
      stations: numbered(
        'angle',
        [2.1, 2.6, 3.2, 3.4, 3.3, 2.8, 2.2, 1.9].map((drag, index) => ({ angleDeg: 45 * index, drag })),
      ),
    },
  ],
} satisfies Partial<Axis>
