import type { Metadata } from 'next'
import type { CalculationFacts } from '@/core/calculation/calculation'
import { registry } from '@/core/sheets/registry'
import { Reference } from '@/ui/reference/Reference'
import { setStatements, statementsOf } from '@/ui/working/mathMl'

export const metadata: Metadata = { title: 'Reference' }

/** What is said of each, as data: the functions themselves, and all that they reckon with, stay on the server. */
const CALCULATIONS = [...registry.values()].map(
  ({ id, title, formula, source, validity, inputs, outputs }): CalculationFacts => ({
    id,
    title,
    formula,
    source,
    validity,
    inputs,
    outputs,
  }),
)
const FORMULAS = Object.fromEntries(
  CALCULATIONS.map(({ id, formula, inputs, outputs }) => [
    id,
    setStatements(statementsOf(formula, inputs, outputs)),
  ]),
)

export default function ReferencePage() {
  return <Reference calculations={CALCULATIONS} formulas={FORMULAS} />
}
