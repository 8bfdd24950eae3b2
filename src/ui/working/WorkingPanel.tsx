import { chakra } from '@chakra-ui/react'
import type { Spec, Specs } from '@/core/calculation/spec'
import { DIMENSIONS } from '@/core/document/dimensions'
import type { Figure } from '@/core/evaluation/context'
import type { Finding } from '@/core/evaluation/finding'
import { registry } from '@/core/sheets/registry'
import { printNumber } from '@/core/units/print'
import { Modal } from '../Modal'
import { Cell, HeadCell } from '../Panel'

const PROVENANCE_WORDS = { measured: 'measured', sheet: 'from a sheet', assumed: 'assumed' }

interface Props {
  finding: Finding
  figures: Record<string, Figure>
  onClose: () => void
}

/** Opens the figures behind a verdict: formula, values put in, result, source and what it rests on. */
export function WorkingPanel({ finding, figures, onClose }: Props) {
  return (
    <Modal title={`Working: ${finding.title}`} open onClose={onClose} wide>
      <chakra.div display="grid" gap="5">
        <chakra.p>{finding.sentence}</chakra.p>
        {finding.because.toReversed().map(name => {
          const figure = figures[name]
          return figure && <Worked key={name} figure={figure} />
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

function Worked({ figure }: { figure: Figure }) {
  const calculation = registry.get(figure.calculation)
  if (!calculation) return null
  return (
    <chakra.section borderTopWidth="1px" pt="3">
      <chakra.h3 fontWeight={700}>{calculation.title}</chakra.h3>
      <chakra.p
        fontFamily="mono"
        fontSize="14px"
        bg="sunken"
        borderRadius="6px"
        px="3"
        py="2"
        my="2"
        overflowWrap="anywhere"
      >
        {calculation.formula}
      </chakra.p>
      <chakra.table width="100%" fontSize="14px">
        <thead>
          <tr>
            <HeadCell>Quantity</HeadCell>
            <HeadCell>Symbol</HeadCell>
            <HeadCell textAlign="right">Value</HeadCell>
            <HeadCell>Unit</HeadCell>
          </tr>
        </thead>
        <tbody>
          <Rows specs={calculation.inputs} values={figure.inputs} />
          <Rows specs={calculation.outputs} values={figure.outputs} result />
        </tbody>
      </chakra.table>
      <chakra.p color="quiet" fontSize="13px" mt="1">
        Source: {calculation.source}. {calculation.validity}.
      </chakra.p>
    </chakra.section>
  )
}

function Rows({
  specs,
  values,
  result,
}: {
  specs: Specs
  values: Record<string, unknown>
  result?: boolean
}) {
  return Object.entries(specs).map(([name, spec]) => {
    const value = values[name] ?? (spec.kind === 'number' ? spec.default : undefined)
    return (
      <chakra.tr key={name} fontWeight={result ? 700 : 400}>
        <Cell>{result ? `= ${spec.label}` : spec.label}</Cell>
        <Cell fontFamily="mono">{spec.kind === 'number' ? spec.symbol : ''}</Cell>
        <Cell fontFamily="mono" textAlign="right" data-value={name}>
          {print(spec, value)}
        </Cell>
        <Cell color="quiet">{spec.kind === 'number' && spec.unit !== '1' ? spec.unit : ''}</Cell>
      </chakra.tr>
    )
  })
}

function print(spec: Spec, value: unknown): string {
  if (typeof value === 'number') return printNumber(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value))
    return value.map(item => print(spec.kind === 'list' ? spec.of : spec, item)).join('; ')
  if (typeof value === 'object' && value !== null)
    return Object.values(value)
      .map(item => (typeof item === 'number' ? printNumber(item) : String(item)))
      .join(' / ')
  return String(value ?? '')
}
