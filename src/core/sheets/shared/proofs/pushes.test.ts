import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import type { Say } from '../../../evaluation/check'
import { blankRecord } from '../../../field/field'
import { weightAlongN } from '../../../machine/drive/load'
import { CATALOGUE } from '../../../machine/parts'
import { say as print } from '../../../units/print'
import { evaluateAxis } from '../../evaluateAxis'
import { ROUND } from '../rounds/model'
import { notPushedThrough } from './pushes'

const [X] = skarrow().job.axes as [Axis]
const say: Say = (value, quantity, decimals) => print(value, quantity, 'mm', decimals)
const known = (value: number) => ({ value, provenance: 'measured' as const })
/** The demo's table stood up: 80 kg of it, and what a counterbalance takes of that. */
const upright = (counterbalanceN: number): Axis => ({
  ...X,
  dimensions: {
    ...X.dimensions,
    inclineDeg: known(90),
    movingMassKg: known(80),
    lightestMassKg: known(80),
    frictionCoefficient: known(0.01),
    dragN: known(10),
    counterbalanceN: known(counterbalanceN),
  },
})
const on = (axis: Axis, leastN: number) => notPushedThrough(evaluateAxis(axis, CATALOGUE, 'mm'), leastN, say)

test('a push that does not get past the friction tells nothing', () => {
  expect(on(X, 1)).toMatch(/does not get past the friction of the slide/)
  expect(on(X, 2000)).toBeNull()
})

test('a head that hangs on its screw must be lifted both ways, or taken off it', () => {
  expect(weightAlongN(evaluateAxis(upright(0), CATALOGUE, 'mm'))).toBeCloseTo(784.5, 1)
  expect(on(upright(0), 300)).toMatch(/^300 N do not move the slide both ways: 785 N of weight/)
  expect(on(upright(0), 1000)).toBeNull()
  // Lifted more than it weighs, it hangs on the other flank.
  expect(on(upright(1569), 300)).toMatch(/of weight and .* of friction hold it on one side/)
  expect(on(upright(784), 300)).toBeNull()
})

test('both sheets of pushes ask for it before they say anything', () => {
  const places = { motorHubUm: 0, screwHubUm: 2, screwEndUm: 2, nutFlangeUm: 12, slideUm: 12 }
  const round = {
    id: 'r',
    ...blankRecord(ROUND),
    screw: 'first' as const,
    gaugeStepUm: 2,
  }
  const read = (axis: Axis): Axis => ({
    ...axis,
    lostRounds: [
      {
        ...round,
        forceN: 300,
        motorRadiusMm: 12,
        screwRadiusMm: 12,
        stations: [1, 2, 3].map(id => ({ id: `${id}`, ...places })),
      },
    ],
    pushRounds: [
      {
        ...round,
        at: 'slide',
        stations: [-300, -200, 200, 300].map(forceN => ({
          id: `${forceN}`,
          forceN,
          readingUm: forceN / 100,
        })),
      },
    ],
  })
  for (const checkId of ['prove.whereLost', 'prove.pushPull']) {
    const find = (axis: Axis) =>
      evaluateAxis(read(axis), CATALOGUE, 'mm').findings.find(one => one.checkId === checkId)
    expect(find(upright(0))).toMatchObject({ state: 'unknown' })
    expect(find(upright(0))?.sentence).toContain('Push and pull harder than both together, with a lever')
    expect(find(upright(784))?.sentence).not.toContain('with a lever')
  }
})
