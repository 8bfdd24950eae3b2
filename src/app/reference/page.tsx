import type { Metadata } from 'next'
import { registry } from '@/core/sheets/registry'
import { Reference } from '@/ui/reference/Reference'
import { setStatements, statementsOf } from '@/ui/working/mathMl'

export const metadata: Metadata = { title: 'Reference' }

const FORMULAS = Object.fromEntries(
  [...registry.values()].map(({ id, formula, inputs, outputs }) => [
    id,
    setStatements(statementsOf(formula, inputs, outputs)),
  ]),
)

export default function ReferencePage() {
  return <Reference formulas={FORMULAS} />
}
