import katex from 'katex'
import { readFormula } from '../calculation/formula'
import { textTex, toTex } from '../calculation/formulaTex'
import { reckon } from '../calculation/reckon'
import type { Fields } from '../field/field'
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
      'controller.correctedSteps',
    ])
  })
})

const symbolsOf = (fields: Fields, values: Record<string, unknown>) =>
  Object.entries(fields).flatMap(([name, field]) =>
    field.is === 'number' && typeof values[name] === 'number'
      ? [[field.symbol ?? name, values[name] as number] as const]
      : [],
  )

describe('the formula of a calculation', () => {
  test('can be set as mathematics, every one', () => {
    for (const { formula, inputs, outputs } of registry.values()) {
      const symbols = [...Object.values(inputs), ...Object.values(outputs)].flatMap(field =>
        field.is === 'number' && field.symbol ? [field.symbol] : [],
      )
      for (const piece of readFormula(formula, symbols).flat())
        expect(
          katex.renderToString('text' in piece ? textTex(piece.text) : toTex(piece.node), {
            output: 'mathml',
          }),
        ).toContain('<math')
    }
  })

  test('gives what the calculation gives, wherever it is a plain sum of what stands beside it', () => {
    const wrong: string[] = []
    const reckoned = new Set<string>()
    for (const { calculation, inputs, outputs } of cases) {
      const entry = registry.get(calculation)
      if (!entry) continue
      const values = new Map([
        ...symbolsOf(entry.inputs, inputs as Record<string, unknown>),
        ...symbolsOf(entry.outputs, outputs),
      ])
      const given = new Map(symbolsOf(entry.outputs, outputs))
      // Where words tell which of several holds, it is for this case or not.
      const plain = readFormula(entry.formula, [...values.keys()]).filter(pieces => pieces.length === 1)
      for (const piece of plain.flat()) {
        if (!('node' in piece) || piece.node.is !== 'relation' || piece.node.left.is !== 'symbol') continue
        const { left, right, sign } = piece.node
        const expected = given.get(left.name)
        const got = sign === '=' ? reckon(right, name => values.get(name) ?? null) : null
        // What comes in between is put into what follows it.
        if (expected === undefined && got !== null) values.set(left.name, got)
        if (expected === undefined || got === null) continue
        reckoned.add(`${calculation} ${left.name}`)
        if (Math.abs(got - expected) > 1e-6 * Math.abs(expected) + 1e-9)
          wrong.push(`${calculation}: ${left.name} = ${expected}, the formula gives ${got}`)
      }
    }
    expect(wrong).toEqual([])
    expect(reckoned.size).toBeGreaterThan(35)
  })
})
