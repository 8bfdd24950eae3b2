import type { Metadata } from 'next'
import { registry } from '@/core/sheets/registry'
import { Reference } from '@/ui/reference/Reference'
import { setFormula } from '@/ui/working/mathMl'

export const metadata: Metadata = { title: 'Reference · Dusk Bench' }

const FORMULAS = Object.fromEntries(
  [...registry.values()].map(({ id, formula, inputs, outputs }) => [
    id,
    setFormula(formula, inputs, outputs),
  ]),
)

export default function ReferencePage() {
  return <Reference formulas={FORMULAS} />
}
