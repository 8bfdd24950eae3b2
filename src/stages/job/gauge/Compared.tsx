import { chakra } from '@chakra-ui/react'
import type { Comparison } from '@/core/sheets/shared/proofs/compare'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { sentenceCase } from '@/core/units/sentenceCase'
import { BarsFigure } from '@/ui/chart/BarsFigure'
import { chartColors } from '@/ui/chart/chartColors'
import { CopyTable } from '@/ui/table/CopyTable'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useUnits } from '../JobContext'
import { SaveChart } from '../SaveChart'
import { useAxis } from '../useAxis'

interface Props {
  lines: readonly Comparison[]
  /** What the two tests are called: before and after, slow and fast. */
  names: readonly [string, string]
}

/** What two tests say, place by place: drawn, and as a table that says which differences count. */
export function Compared({ lines, names: [first, second] }: Props) {
  const units = useUnits()
  const acceptedUm = useAxis(axis => axis.goals.backlashTargetUm)
  if (lines.length === 0)
    return (
      <chakra.p color="quiet">Both tests need two readings from either side at one place or more.</chakra.p>
    )
  const small = (um: number) => say(um, 'smallLength', units)
  const at = (positionMm: number | null) =>
    positionMm === null ? 'worst of each' : say(positionMm, 'length', units, 1)
  const parts = [
    { name: first, color: chartColors.unknown },
    { name: second, color: chartColors.lamp },
  ]
  const { unit, perUnit, decimals } = quantityFacts('smallLength')[units]
  const columns: TableColumn<Comparison>[] = [
    { id: 'place', head: 'Place', cell: ({ positionMm }) => at(positionMm) },
    { id: 'before', head: sentenceCase(first), figures: true, cell: row => small(row.beforeUm) },
    { id: 'after', head: sentenceCase(second), figures: true, cell: row => small(row.afterUm) },
    {
      id: 'difference',
      head: 'Difference',
      figures: true,
      cell: row => `${small(row.differenceUm)} ± ${small(row.expandedUm)}`,
    },
    { id: 'says', head: 'Says', cell: said },
  ]
  return (
    <chakra.div display="grid" gap="2" gridTemplateColumns="minmax(0, 1fr)" data-compared>
      <BarsFigure
        label={`Chart of the reversal at each place, ${first} and ${second}`}
        parts={parts}
        bars={lines.flatMap(({ positionMm, beforeUm, afterUm }) => [
          { name: `${at(positionMm)}, ${first}`, of: { [first]: beforeUm / perUnit } },
          { name: `${at(positionMm)}, ${second}`, of: { [second]: afterUm / perUnit } },
        ])}
        unit={unit}
        decimals={decimals}
        accepted={acceptedUm / perUnit}
        namePx={130}
      />
      <SaveChart name={`reversal ${first} and ${second}`} legend={parts} />
      <DataTable
        label="Differences"
        columns={columns}
        rows={[...lines]}
        rowId={({ positionMm }) => String(positionMm ?? 'worst')}
      />
      <div>
        <CopyTable
          label="Differences"
          cells={() => [
            ['Place', sentenceCase(first), sentenceCase(second), 'Difference', 'Uncertainty at 95 %', 'Says'],
            ...lines.map(row => [
              at(row.positionMm),
              small(row.beforeUm),
              small(row.afterUm),
              small(row.differenceUm),
              small(row.expandedUm),
              said(row),
            ]),
          ]}
        />
      </div>
    </chakra.div>
  )
}

const said = ({ counts, differenceUm }: Comparison): string =>
  counts ? (differenceUm < 0 ? 'less: it counts' : 'more: it counts') : 'no change that counts'
