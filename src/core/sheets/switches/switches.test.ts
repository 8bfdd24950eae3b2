import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { remedied } from '../../evaluation/remedy'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { remediesFor } from '../remediesFor'
import { cableLoop } from './calculation'

const [X] = skarrow().job.axes as [Axis]
/** Top speed 60 mm/s, 400 mm/s2, 50 ms: runs on 7.5 mm; a filter of 25 ms adds 1.5 mm. */
const axisWith = (more: Partial<Axis['switches'][number]>, top: Partial<Axis> = {}): Axis => ({
  ...X,
  goals: { ...X.goals, topSpeedMmPerMin: 3600 },
  stopping: { reactionS: 0.05, decelerationMmPerS2: 400 },
  switches: [
    { id: 's1', use: 'both', end: 'fixed', beforeStopMm: 30, contact: 'normally-closed', filterMs: null },
    {
      id: 's2',
      use: 'limit',
      end: 'far',
      beforeStopMm: 13.5,
      contact: 'normally-closed',
      filterMs: 25,
      ...more,
    },
  ],
  ...top,
})
const far = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm').finding('switches.far')

test.each([
  [13.5, 'holds'],
  [13.4, 'close'],
  [9, 'close'],
  [8.9, 'fails'],
])('%s mm behind a switch from which the axis runs on 9 mm: %s', (beforeStopMm, state) => {
  expect(far(axisWith({ beforeStopMm }))).toMatchObject({ state, stage: 'build', sheet: 'switches' })
})

test('a filter counts as reaction; without one there is room', () => {
  expect(far(axisWith({ beforeStopMm: 11.3 }))?.state).toBe('close')
  expect(far(axisWith({ beforeStopMm: 11.3, filterMs: 0 }))?.state).toBe('holds')
})

test('a switch that says nothing with a broken wire fails, wherever it stands', () => {
  const axis = axisWith({ beforeStopMm: 200, contact: 'normally-open' })
  expect(far(axis)).toMatchObject({ state: 'fails', sentence: expect.stringContaining('broken wire') })
  const [remedy] = remediesFor(axis, CATALOGUE, 'mm', 'switches.far')
  expect(remedy?.label).toBe('Wire it normally closed')
})

test('an end without a limit switch fails; a home switch there can do both', () => {
  const axis = axisWith({ use: 'home', beforeStopMm: 20 })
  expect(far(axis)?.sentence).toMatch(/^No limit switch at the far end/)
  const [remedy] = remediesFor(axis, CATALOGUE, 'mm', 'switches.far')
  if (!remedy) throw new Error('no remedy')
  expect(far(remedied(axis, remedy))?.state).toBe('holds')
})

test('nobody has measured where it stands, or nothing is entered: no number and no verdict of it', () => {
  expect(far(axisWith({ beforeStopMm: null }))).toMatchObject({
    state: 'unknown',
    sentence: 'Enter first: how far the switch at the far end stands before the hard stop.',
  })
  expect(far({ ...axisWith({}), switches: [] })).toBeNull()
})

test.each([
  ['a plank router', 12_000, 40, 'fails'],
  ['an engraver', 600, 3, 'holds'],
])('%s at %s mm/min with %s mm behind its switch: %s', (_, topSpeedMmPerMin, beforeStopMm, state) => {
  const axis = axisWith({ beforeStopMm, filterMs: 0 }, { goals: { ...X.goals, topSpeedMmPerMin } })
  expect(far(axis)?.state).toBe(state)
})

test('a chain is half the travel, its half turn, what it is off the middle, and its margins', () => {
  const chain = { travelMm: 400, bendRadiusMm: 50, marginMm: 20 }
  const middle = cableLoop({ ...chain, fixedEndAtMm: 0 })
  expect(middle).toEqual({ chainLengthMm: 200 + Math.PI * 50 + 40, heightMm: 100 })
  for (const fixedEndAtMm of [-80, 80])
    expect(cableLoop({ ...chain, fixedEndAtMm }).chainLengthMm - middle.chainLengthMm).toBeCloseTo(80, 9)
})

test('a loop that is too high is bent tighter, by a remedy that helps', () => {
  const axis: Axis = { ...X, cable: { ...X.cable, roomMm: 70 } }
  const chain = (one: Axis) => evaluateAxis(one, CATALOGUE, 'mm').finding('cable.chain')
  expect(chain(X)?.state).toBe('holds')
  expect(chain(axis)?.state).toBe('fails')
  const [remedy] = remediesFor(axis, CATALOGUE, 'mm', 'cable.chain')
  expect(remedy?.label).toBe('A chain of 35 mm bend radius')
  if (remedy) expect(chain(remedied(axis, remedy))?.state).toBe('holds')
  expect(chain({ ...axis, cable: { ...axis.cable, roomMm: null } })?.state).toBe('unknown')
})
