import { runCalculations } from '../formats/calculationRequests'
import workedValues from './fixtures/workedValues.json'
import { registry } from './registry'

type Value = number | string | boolean | Value[] | { [key: string]: Value }
const cases = workedValues as unknown as {
  calculation: string
  inputs: object
  outputs: Record<string, Value>
}[]

/** Every number of the expected value, with its path, against the one that came out. */
function compare(expected: Value, got: Value | undefined, path: string): void {
  if (typeof expected === 'number') {
    const off = Math.abs((got as number) - expected)
    expect({ path, off: off <= 1e-6 * Math.abs(expected) + 1e-9 ? 0 : off }).toEqual({ path, off: 0 })
  } else if (typeof expected === 'object' && expected !== null) {
    expect(Object.keys(got as object)).toEqual(Object.keys(expected))
    for (const [key, value] of Object.entries(expected))
      compare(value, (got as Record<string, Value>)[key], `${path}.${key}`)
  } else expect({ path, got }).toEqual({ path, got: expected })
}

describe('worked values', () => {
  const known = cases.filter(({ calculation }) => registry.has(calculation))

  test.each(known.map((one, index) => [`${one.calculation} #${index}`, one] as const))('%s', (_, one) => {
    const [answer] = runCalculations(JSON.stringify([one]))
    compare(one.outputs, (answer as { outputs: Record<string, Value> }).outputs, one.calculation)
  })

  test('every registered calculation has some, but for the plain sums of the checks', () => {
    const worked = new Set(known.map(({ calculation }) => calculation))
    expect([...registry.keys()].filter(id => !worked.has(id))).toEqual([
      'cutting.turning',
      'screw.speed',
      'nut.speedValue',
      'nut.pressureSpeed',
      'nut.staticSafety',
      'bearing.axialLife',
      'coupler.torqueUse',
      'belt.stiffness',
      'drive.requiredTorque',
      'drive.torqueMargin',
      'drive.inertiaRatio',
      'drive.gantryShare',
      'drive.handwheelForce',
      'axis.positionBudget',
    ])
  })
})
