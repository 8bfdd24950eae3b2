import fc from 'fast-check'
import { demoJobs } from '../../../demo'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { CATALOGUE } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { controllerSettings } from '../steps/controller'

// A slip of the hand makes a question, never an order.

const [X] = skarrow().job.axes as [Axis]
const [gantry] = demoJobs().flatMap(({ job }) => job.axes.filter(({ drive }) => drive.screws === 2)) as [Axis]
const find = (axis: Axis, id: string, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).finding(id as never)
const ORDERS = /\b(turn its screw|Raise|Lower|Shift|Put \d|Set \d|move it \d|Push the gib|Draw the gib)\b/

test('a mistyped diagonal is asked about: a gantry is not turned by 75 mm', () => {
  const round = gantry.squareRounds.at(-1)
  if (!round) throw new Error('no round')
  const typed = (change: Partial<typeof round>): Axis => ({
    ...gantry,
    squareRounds: [{ ...round, done: null, ...change }],
  })
  const { sideAMm: a, sideBMm: b } = round
  const right = Math.hypot(a, b)
  const sound = typed({ diagonalAMm: right, diagonalBMm: right })
  expect(find(sound, 'align.square')?.state).not.toBe('fails')
  for (const slip of [10, 100, -90, 1000]) {
    const found = find(typed({ diagonalAMm: right + slip, diagonalBMm: right }), 'align.square')
    expect(found?.state).toBe('unknown')
    expect(found?.sentence).not.toMatch(ORDERS)
  }
  // Out of square as a gantry can be, it is still ordered: both diagonals move apart, and go with the sides.
  const apart = typed({ diagonalAMm: right + 1, diagonalBMm: right - 1 })
  expect(find(apart, 'align.square')?.sentence).toMatch(/turn its screw/)
  // Nor by more than its carriages bear.
  expect(find(typed({ diagonalAMm: right + 20, diagonalBMm: right - 20 }), 'align.square')?.sentence).toMatch(
    /can that be meant/,
  )
})

test('a line read in the unit of another sheet is a question: no block goes by 117 mm', () => {
  const [round] = X.rounds.slice(-1)
  if (!round) throw new Error('no round')
  const times = (by: number): Axis => ({
    ...X,
    rounds: [
      {
        ...round,
        stations: [40, 180, 320, 460].map((positionMm, index) => ({
          id: `${index}`,
          positionMm,
          heightUm: (positionMm - 40) * 0.25 * by,
          sideUm: 0,
        })),
      },
    ],
  })
  expect(find(times(1), 'align.height')?.sentence).toMatch(/Lower|Raise/)
  for (const by of [25.4, 1000]) {
    const found = find(times(by), 'align.height')
    expect(found?.state).toBe('unknown')
    expect(found?.sentence).toMatch(/can that be meant/)
    expect(found?.sentence).not.toMatch(ORDERS)
  }
})

test('steps are never set by more than a tenth: inches typed for millimetres are asked about', () => {
  const moved = (movedMm: number): Axis => ({
    ...X,
    controller: { ...X.controller, commandedMm: 300, movedMm },
  })
  const settings = (axis: Axis) => controllerSettings(evaluateAxis(axis, CATALOGUE, 'mm'))
  expect(settings(moved(11.81))).toMatchObject({ stepsPerMm: 320, isMeasured: false })
  expect(find(moved(11.81), 'controller.measuredMove')).toMatchObject({ state: 'unknown' })
  expect(settings(moved(299)).isMeasured).toBe(true)
  const [round] = X.scaleRounds.length > 0 ? X.scaleRounds : []
  if (round) {
    const off: Axis = {
      ...X,
      scaleRounds: [
        {
          ...round,
          stations: round.stations.map(one => ({
            ...one,
            measuredMm: (one as { commandedMm: number }).commandedMm / 25.4,
          })) as never,
        },
      ],
    }
    expect(find(off, 'prove.scale')?.sentence ?? '').not.toMatch(/Set \d/)
  }
})

test('whatever is typed into the readings of the demo machines, no order is larger than the thing allows', () => {
  const axes = demoJobs().flatMap(({ job }) => job.axes)
  fc.assert(
    fc.property(
      fc.constantFrom(...axes),
      fc.constantFrom(25.4, 1000, 9.80665, 100, -1, 1 / 25.4),
      fc.constantFrom('mm' as const, 'inch' as const),
      (axis, by, units) => {
        const scaled = JSON.parse(JSON.stringify(axis), (key, value: unknown) =>
          typeof value === 'number' &&
          /Um$|^diagonal/.test(key) &&
          !/accepted|target|gaugeStep|Target/.test(key)
            ? value * by
            : value,
        ) as Axis
        const context = evaluateAxis({ ...scaled, goals: axis.goals }, CATALOGUE, units)
        for (const { sentence, stage, state } of context.findings) {
          if (stage !== 'align' || state === 'unknown') continue
          // Said in the unit of small lengths: no shim, shift or lift is beyond 2 mm.
          for (const [, figure, unit] of sentence.matchAll(
            /(?:Raise|Lower|Shift|Put|Bring out|Set back)[^.;]*? (?:by )?([\d,.]+) (µm|thou)/g,
          ))
            expect(Number(figure?.replaceAll(',', '')) * (unit === 'thou' ? 25.4 : 1)).toBeLessThanOrEqual(
              2000.5,
            )
        }
      },
    ),
    { numRuns: 200 },
  )
})
