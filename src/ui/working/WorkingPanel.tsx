import { chakra } from '@chakra-ui/react'
import type { CalculationFacts } from '@/core/calculation/calculation'
import { DIMENSIONS } from '@/core/document/dimensions'
import type { Figure } from '@/core/evaluation/axisReads'
import type { Finding } from '@/core/evaluation/finding'
import type { Field, Fields } from '@/core/field/field'
import { unitOf } from '@/core/field/takes'
import { printNumber, say } from '@/core/units/print'
import { quantityOf, type UnitSystem } from '@/core/units/quantity'
import { sentenceCase } from '@/core/units/sentenceCase'
import { unitWords } from '@/core/units/unitWords'
import { Modal } from '../Modal'
import { Figures } from '../Panel'
import { DataTable, type TableColumn } from '../table/DataTable'
import { Formula } from './Formula'

const PROVENANCE_WORDS = {
  measured: 'measured',
  sheet: 'from a sheet',
  outside: 'read from outside, roughly',
  planned: 'as planned',
  assumed: 'assumed',
}

interface Props {
  finding: Pick<Finding, 'title' | 'sentence' | 'because' | 'restsOn'>
  figures: Record<string, Figure>
  /** What is said of each calculation, by its id. */
  calculations: ReadonlyMap<string, CalculationFacts>
  /** Those of the job: a formula holds in millimetres and newtons, and what it takes and gives is said in both. */
  units: UnitSystem
  onClose: () => void
}

/** Opens the figures behind a verdict: formula, values put in, result, source and what it rests on. */
export function WorkingPanel({ finding, figures, calculations, units, onClose }: Props) {
  return (
    <Modal title={`Working: ${finding.title}`} open onClose={onClose} wide>
      <chakra.div display="grid" gap="5">
        <chakra.p>{finding.sentence}</chakra.p>
        {finding.because.toReversed().map(name => {
          const figure = figures[name]
          const calculation = figure && calculations.get(figure.calculation)
          return calculation && <Worked key={name} {...{ figure, calculation, units }} />
        })}
        {finding.restsOn.length > 0 && (
          <chakra.section>
            <chakra.h3 fontWeight={700}>Rests on</chakra.h3>
            <chakra.ul>
              {finding.restsOn.map(({ dimension, provenance }) => (
                <li key={dimension}>
                  {DIMENSIONS[dimension].label}: {PROVENANCE_WORDS[provenance]}
                </li>
              ))}
            </chakra.ul>
          </chakra.section>
        )}
      </chakra.div>
    </Modal>
  )
}

function Worked({
  figure,
  calculation,
  units,
}: {
  figure: Figure
  calculation: CalculationFacts
  units: UnitSystem
}) {
  return (
    <chakra.section borderTopWidth="1px" pt="3">
      <chakra.h3 fontWeight={700}>{calculation.title}</chakra.h3>
      <Formula
        formula={calculation.formula}
        inputs={calculation.inputs}
        outputs={calculation.outputs}
        values={figure}
      />
      <DataTable
        label={`Numbers of: ${calculation.title}`}
        columns={units === 'inch' ? [...COLUMNS, IN_INCHES] : COLUMNS}
        rows={[
          ...linesOf(calculation.inputs, figure.inputs),
          ...linesOf(calculation.outputs, figure.outputs, true),
        ]}
        rowId={({ name, result }) => `${name}${result}`}
        isStrong={({ result }) => result}
      />
      <chakra.p color="quiet" fontSize="13px" mt="1">
        Source: {calculation.source}. {calculation.validity}.
      </chakra.p>
    </chakra.section>
  )
}

interface Line {
  name: string
  field: Field
  value: unknown
  result: boolean
}

const linesOf = (fields: Fields, values: Record<string, unknown>, result = false): Line[] =>
  Object.entries(fields).map(([name, field]) => ({
    name,
    field,
    value: values[name] ?? (field.is === 'number' ? field.default : undefined),
    result,
  }))

const COLUMNS: TableColumn<Line>[] = [
  {
    id: 'quantity',
    head: 'Quantity',
    cell: ({ field, result }) => (result ? `= ${field.label}` : sentenceCase(field.label)),
  },
  {
    id: 'symbol',
    head: 'Symbol',
    cell: ({ field }) => <Figures>{field.is === 'number' ? field.symbol : ''}</Figures>,
  },
  {
    id: 'value',
    head: 'Value',
    figures: true,
    cell: ({ name, field, value }) => (
      <chakra.span data-value={name} whiteSpace="normal">
        {print(field, value)}
      </chakra.span>
    ),
  },
  {
    id: 'unit',
    head: 'Unit',
    cell: ({ field }) => (
      <chakra.span color="quiet">{field.is === 'number' ? unitWords(unitOf(field)) : ''}</chakra.span>
    ),
  },
]

/** The same figure as the job says it. */
const IN_INCHES: TableColumn<Line> = {
  id: 'job',
  head: 'As you say it',
  figures: true,
  cell: ({ field, value }) => {
    const quantity = field.is === 'number' ? quantityOf(unitOf(field)) : undefined
    return quantity && typeof value === 'number' ? say(value, quantity, 'inch') : ''
  },
}

function print(field: Field, value: unknown): string {
  if (typeof value === 'number') return printNumber(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value))
    return value.map(item => print(field.is === 'list' ? field.of : field, item)).join('; ')
  if (typeof value === 'object' && value !== null)
    return Object.values(value)
      .map(item => (typeof item === 'number' ? printNumber(item) : String(item)))
      .join(' / ')
  return String(value ?? '')
}
