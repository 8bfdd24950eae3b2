import type { Axis } from '../../../document/axis'
import { remedied } from '../../../evaluation/remedy'
import { CATALOGUE } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { newAxis } from '../../newJob'
import { driveOrders } from '../../parts/orders'
import { remediesFor } from '../../remediesFor'
import { thingsOf } from './bags'
import { HERE } from './fixtures/here'
import { askOf } from './holds'
import { procedure } from './procedure'
import type { Step } from './step'

const measured = (value: number) => ({ value, provenance: 'measured' as const })
const headOf = (change: Partial<Axis> = {}): Axis => {
  const axis = newAxis({ name: 'Z', title: 'Head', slide: 'head' })
  return {
    ...axis,
    dimensions: {
      ...axis.dimensions,
      inclineDeg: measured(90),
      movingMassKg: measured(84),
      lightestMassKg: measured(80),
      counterbalanceN: measured(0),
    },
    parts: {
      ...axis.parts,
      screw: 'ball-25-5-double',
      bearing: 'back-17',
      coupler: 'bellows-55',
      motor: 'step-86-85',
    },
    ...change,
  }
}
const stepsOf = (axis: Axis): Step[] => procedure(evaluateAxis(axis, CATALOGUE, 'mm')) ?? []
const at = (axis: Axis, id: string) => stepsOf(axis).findIndex(step => step.id === id)
const ordersOf = (axis: Axis) => driveOrders(axis, CATALOGUE, 'mm').map(({ key }) => key)

describe('a brake', () => {
  const braked = headOf()
  braked.parts.brake = 'brake-60'
  test('is ordered with its supply, mounted, wired, tried on blocks, then over a few centimetres', () => {
    expect(ordersOf(braked)).toEqual(expect.arrayContaining(['part:brake-60', 'supply:brake', 'cable:brake']))
    expect(ordersOf(headOf())).not.toContain('supply:brake')
    const order = ['brake-on', 'brake-wired', 'brake-tested', 'estop-on', 'held', 'support-off'].map(id =>
      at(braked, id),
    )
    expect(order).not.toContain(-1)
    expect(order).toEqual(order.toSorted((a, b) => a - b))
    const tried = stepsOf(braked)[at(braked, 'brake-tested')]
    expect(tried?.how).toContain('rest on its block')
    expect(stepsOf(braked)[at(braked, 'brake-wired')]?.caution).toContain('licensed people')
    expect(stepsOf(braked)[at(braked, 'held')]?.how).toContain('a few centimetres')
    for (const id of ['brake-on', 'brake-wired', 'brake-tested']) expect(at(headOf(), id)).toBe(-1)
  })
  test('counts as holding only once it is fitted: the proof rests on each of its steps', () => {
    const held = stepsOf(braked)[at(braked, 'held')]
    expect(held?.restsOn).toEqual(
      expect.arrayContaining(['brake-on', 'brake-wired', 'brake-tested', 'motor-hub']),
    )
  })
})

describe('a counterbalance', () => {
  const sprung = headOf({ counterbalance: { kind: 'springs', toFit: false } })
  sprung.dimensions.counterbalanceN = measured(700)
  sprung.dimensions.counterbalanceSpreadN = measured(60)

  test('that was let go of is loaded again with its force read, and comes out of its bag for that', () => {
    expect(at(sprung, 'td-springs')).toBeGreaterThan(at(sprung, 'support'))
    expect(at(sprung, 'balance-loaded')).toBeGreaterThan(at(sprung, 'torque-blocks'))
    expect(at(sprung, 'balance-loaded')).toBeLessThan(at(sprung, 'held'))
    const step = stepsOf(sprung)[at(sprung, 'balance-loaded')] as Step
    expect(askOf(step, evaluateAxis(sprung, CATALOGUE, 'mm'), HERE)).toBeNull()
    const unread: Axis = {
      ...sprung,
      dimensions: { ...sprung.dimensions, counterbalanceN: { value: 700, provenance: 'assumed' } },
    }
    expect(askOf(step, evaluateAxis(unread, CATALOGUE, 'mm'), HERE)).toMatch(
      /^Measure first, under Survey: counterbalance/,
    )
    expect(thingsOf(sprung).find(({ id }) => id === 'springs')?.backAt).toBe('balance-loaded')
  })

  test('that is a way out brings its order line and its steps; what is fitted already is not bought', () => {
    const [remedy] = remediesFor(headOf(), CATALOGUE, 'mm', 'axis.unpoweredDrop').filter(({ label }) =>
      label.startsWith('Counterbalance'),
    )
    if (!remedy) throw new Error('no such way out')
    const after = remedied(headOf(), remedy)
    expect(after.counterbalance).toEqual({ kind: 'gas-spring', toFit: true })
    expect(ordersOf(after).filter(key => key.startsWith('balance:'))).toHaveLength(1)
    expect(at(after, 'balance-fit')).toBeLessThan(at(after, 'balance-loaded'))
    // Nothing is counted on before its force is read.
    expect(after.dimensions.counterbalanceN.provenance).toBe('assumed')
    expect(ordersOf(sprung).some(key => key.startsWith('balance:'))).toBe(false)
  })

  test('a gas spring is exchanged, never set', () => {
    const gas = { ...sprung, counterbalance: { kind: 'gas-spring' as const, toFit: true } }
    const words = stepsOf(gas)
      .filter(({ id }) => /balance|springs/.test(id))
      .map(({ how }) => how)
      .join(' ')
    expect(words).toContain('exchanged')
    expect(words).not.toMatch(/adjuster|Tension/)
  })
})

describe('words of what moves', () => {
  const textOf = (axis: Axis) => JSON.stringify(stepsOf(axis))
  test('a knee or a quill is not called a head, and no block stands on a table that hangs under a knee', () => {
    const knee = headOf({ title: 'Knee', slide: 'knee' })
    knee.parts.brake = 'brake-60'
    expect(/.{20}\bhead\b(?! of the gib screw).{20}/i.exec(textOf(knee))?.[0]).toBeUndefined()
    expect(textOf(knee).includes('under the knee, on the base')).toBe(true)
    expect(textOf(knee).includes('on the table')).toBe(false)
    const quill = headOf({ title: 'Quill', slide: 'quill' })
    expect(/.{20}[Tt]he head\b(?! of the gib screw).{20}/.exec(textOf(quill))?.[0]).toBeUndefined()
  })
  test('a head whose gib was only slackened is not put back on its ways, and its gib not in', () => {
    const ids = stepsOf(headOf()).map(({ id }) => id)
    expect(ids).not.toContain('slide-on')
    expect(ids).not.toContain('gib-in')
    expect(ids).toContain('gib-set')
    expect(ids).toContain('td-gib')
  })
  test('what is taken off and has a use comes back by a step that there is, whatever moves', () => {
    for (const slide of [
      'table',
      'saddle',
      'head',
      'quill',
      'knee',
      'carriage',
      'cross-slide',
      'rail-carriage',
    ] as const) {
      const axis = headOf({ slide, drive: { ...headOf().drive, handwheelKept: true } })
      const ids = new Set(stepsOf(axis).map(({ id }) => id))
      for (const { backAt } of thingsOf(axis))
        if (backAt) expect([slide, ids.has(backAt), backAt]).toEqual([slide, true, backAt])
    }
  })
})
