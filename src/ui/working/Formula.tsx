import { chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Piece } from '@/core/calculation/formula'
import { numeral, symbolTex, textTex, toTex } from '@/core/calculation/formulaTex'
import { reckon } from '@/core/calculation/reckon'
import type { Fields } from '@/core/field/field'
import { unitOf } from '@/core/field/takes'
import { printNumber } from '@/core/units/print'
import { unitWords } from '@/core/units/unitWords'
import { FormulaBox, FormulaLines } from './FormulaLines'
import { mathMl, setStatements, statementsOf } from './mathMl'

interface Props {
  formula: string
  inputs: Fields
  outputs: Fields
  /** What was put in and came out, by the names of inputs and outputs; left out, only the formula is shown. */
  values?: { inputs: Record<string, unknown>; outputs: Record<string, unknown> }
}

/** How far a figure that is shown may be off what the formula gives with the figures shown. */
const TOLERANCE = 1e-6

interface Known {
  value: number
  unit: string
}

/** What every symbol stands for, with its unit. */
function knownOf(fields: Fields, values: Record<string, unknown>): [string, Known][] {
  return Object.entries(fields).flatMap(([name, field]) => {
    const value = values[name] ?? (field.is === 'number' ? field.default : undefined)
    return field.is === 'number' && typeof value === 'number'
      ? [[field.symbol, { value, unit: unitWords(unitOf(field)) }] as [string, Known]]
      : []
  })
}

/** The statements of a formula that can be shown with their numbers put in, as TeX. */
function withNumbers(statements: readonly Piece[][], inputs: [string, Known][], outputs: [string, Known][]) {
  // Units as shown belong to what was given or came out; what comes in between has none to show.
  const known = new Map<string, Known>([...inputs, ...outputs])
  const given = new Map(outputs)
  return statements.flatMap(pieces => {
    const [piece] = pieces
    if (pieces.length !== 1 || !piece || !('node' in piece) || piece.node.is !== 'relation') return []
    const { left, right, sign } = piece.node
    if (sign !== '=' || left.is !== 'symbol') return []
    const reckoned = reckon(right, name => known.get(name)?.value ?? null)
    const result = given.get(left.name)
    // A statement for another case than this one is left out.
    if (result && reckoned !== null && !near(reckoned, result.value)) return []
    if (!result && reckoned === null) return []
    if (!result && reckoned !== null) known.set(left.name, { value: reckoned, unit: '' })
    const numbers = toTex(right, name => {
      const one = known.get(name)
      return one ? printNumber(one.value) : null
    })
    const { value, unit } = result ?? { value: reckoned as number, unit: '' }
    return [
      [
        `${symbolTex(left.name)} = ${numbers} = ${numeral(printNumber(value))}${unit && `\\;${textTex(unit)}`}`,
      ],
    ]
  })
}

const near = (a: number, b: number) => Math.abs(a - b) <= TOLERANCE * Math.abs(b) + 1e-9

/** A formula as it is set in a book, and under it the same with its numbers put in. */
export function Formula({ formula, inputs, outputs, values }: Props) {
  const { plain, numbers } = useMemo(() => {
    const statements = statementsOf(formula, inputs, outputs)
    const tex = values
      ? withNumbers(statements, knownOf(inputs, values.inputs), knownOf(outputs, values.outputs))
      : []
    return {
      plain: setStatements(statements),
      numbers: tex.map(pieces => pieces.map(mathMl)),
    }
  }, [formula, inputs, outputs, values])
  return (
    <FormulaBox formula={formula}>
      <FormulaLines mathMl={plain} />
      {numbers.length > 0 && (
        <chakra.div color="quiet" mt="2" data-numbers>
          <FormulaLines mathMl={numbers} />
        </chakra.div>
      )}
    </FormulaBox>
  )
}
