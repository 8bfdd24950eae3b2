import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { CATALOGUE } from '../machine/parts'
import { turnRounds } from '../sheets/drag/rounds'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { unevenTargets } from '../sheets/fullTest/calculation'
import { courseOf } from '../sheets/fullTest/course'
import { newFullTest } from '../sheets/fullTest/edits'
import type { FullTest } from '../sheets/fullTest/model'
import { testProgram } from '../sheets/fullTest/program'
import { newRound } from '../sheets/shared/rounds/rounds'
import { SimulatedAxis } from '../simulate/axis/axis'
import { Hand } from '../simulate/axis/hand'
import { Controller } from '../simulate/controller'
import { axisFigures } from './axisFigures'
import { read } from './read'
import { lossesUm } from './truth'

const [X] = skarrow().job.axes as [Axis]
const figures = axisFigures(evaluateAxis(X, CATALOGUE, 'mm'))
const ids = () => {
  let next = 0
  return () => `${next++}`
}
const plan: FullTest = newFullTest(
  undefined,
  unevenTargets(10, figures.travelMm - 10, 7, figures.leadMm),
  { label: 'Tried', startedAt: '2026-11-30T08:00:00.000Z', gaugeStepUm: 1 },
  ids(),
)
const meanOf = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
const NUT = { playUm: { nut: 40 } }

test('a full test reads what the axis truly loses, at every target', () => {
  const { targets } = read(new SimulatedAxis(figures, NUT), 'fullTest', plan, new Hand(1, null))
  const lostUm = lossesUm(figures, NUT)
  expect(lostUm).toBeGreaterThan(40)
  for (const { positiveUm, negativeUm } of targets) {
    expect([positiveUm.length, negativeUm.length]).toEqual([plan.runs, plan.runs])
    // The give of the screw changes along it; a hand and its gauge do the rest.
    expect(Math.abs(Math.abs(meanOf(positiveUm) - meanOf(negativeUm)) - lostUm)).toBeLessThan(4)
    // Coming up it stops short.
    expect(meanOf(positiveUm)).toBeLessThan(meanOf(negativeUm))
  }
})

test('a controller that is given the program of the test drives it through the same readings', () => {
  const mill = new Controller({
    limitsMm: { X: [-20, figures.travelMm + 20] },
    rapidMmPerMin: 3000,
    mostFeedMmPerMin: 3000,
    dwellUnit: 'seconds',
  })
  const axis = new SimulatedAxis(figures, NUT)
  const stops: number[] = []
  const program = testProgram({
    machine: 'Mill',
    axis: 'X',
    letter: 'X',
    dwellUnit: 'seconds',
    units: 'mm',
    test: plan,
  })
  for (const line of program.split('\n')) {
    expect(mill.send(line)).toMatchObject({ is: 'ok' })
    mill.pass(mill.secondsLeft)
    axis.moveTo(mill.positionMm('X'), plan.feedMmPerMin)
    if (/^N\d+ G4/.test(line)) stops.push(axis.offUm)
  }
  const filled = read(new SimulatedAxis(figures, NUT), 'fullTest', plan, new Hand(2, null))
  const course = courseOf(plan)
  expect(stops).toHaveLength(course.length)
  const zeroUm = stops[0] as number
  for (const [index, { targetId, way, run }] of course.entries()) {
    const target = filled.targets.find(({ id }) => id === targetId)
    const byHand = target?.[way][run] as number
    expect(Math.abs(byHand - ((stops[index] as number) - zeroUm))).toBeLessThan(5)
  }
})

test('a bent screw goes up and down once over a turn, and the coupler has no part in it', () => {
  const round = {
    ...newRound(turnRounds, X, skarrow().job.shop, ids(), ''),
    by: 'torque' as const,
    step: 0.001,
  }
  const waveOf = (coupled: 'on' | 'off') => {
    const { stations } = read(
      new SimulatedAxis(figures, { bow: { um: 300, atDeg: 90 } }),
      'turn',
      { ...round, coupled },
      new Hand(3, null),
    )
    const drags = stations.map(({ drag }) => drag as number)
    return Math.max(...drags) - Math.min(...drags)
  }
  expect(waveOf('on')).toBeGreaterThan(0.01)
  expect(waveOf('off') / waveOf('on')).toBeGreaterThan(0.6)
})
