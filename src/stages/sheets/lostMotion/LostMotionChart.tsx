import { chakra } from '@chakra-ui/react'
import { Bar, BarChart, Legend, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import type { LostMotionCause } from '@/core/machine/drive/stiffness'
import { printDigits, printFixed } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { chartColors } from '@/ui/charts'
import { useTurn } from '@/ui/useTurn'

/** One colour a cause, none of them a verdict's, each three times as bright or dark as the sheet. */
const CAUSES: { subjects: LostMotionCause['subject'][]; name: string; color: string }[] = [
  { subjects: ['nut'], name: 'nut', color: chartColors.lamp },
  { subjects: ['bearing'], name: 'bearings', color: chartColors.unknown },
  { subjects: ['coupler', 'belt'], name: 'coupler or belt', color: chartColors.brass },
  { subjects: ['screw'], name: 'twist and give', color: chartColors.edge },
  { subjects: ['motor'], name: 'motor', color: chartColors.ink },
]

interface Props {
  drives: { name: string; causes: LostMotionCause[] }[]
  targetUm: number
  units: UnitSystem
}

const ROW_PX = 46

/** Lost motion of each drive as one bar, laid together from its causes, against what is accepted. */
export function LostMotionChart({ drives, targetUm, units }: Props) {
  const turn = useTurn()
  const { unit, perUnit, decimals } = quantityFacts('smallLength')[units]
  const rows = drives.map(({ name, causes }) => ({
    name,
    ...Object.fromEntries(
      CAUSES.map(cause => [
        cause.name,
        causes.reduce((sum, { subject, um }) => (cause.subjects.includes(subject) ? sum + um : sum), 0) /
          perUnit,
      ]),
    ),
  }))
  return (
    <chakra.div
      height={`${110 + ROW_PX * rows.length}px`}
      role="img"
      aria-label="Chart of lost motion by cause; its figures are in the table below"
    >
      {turn && (
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={rows}
            layout="vertical"
            margin={{ top: 4, right: 24, bottom: 18, left: 4 }}
            accessibilityLayer={false}
          >
            <XAxis
              type="number"
              stroke={chartColors.quiet}
              tickFormatter={value => printDigits(Number(value), 3)}
              label={{ value: unit, position: 'insideBottom', offset: -10, fill: chartColors.quiet }}
            />
            <YAxis
              type="category"
              dataKey="name"
              width={150}
              stroke={chartColors.quiet}
              tick={{ width: 140, fill: chartColors.ink, fontSize: 13 }}
            />
            <Tooltip
              cursor={{ fill: chartColors.line, fillOpacity: 0.35 }}
              formatter={value => `${printFixed(Number(value), decimals)} ${unit}`}
              contentStyle={{ background: chartColors.panel, borderColor: chartColors.edge }}
              itemStyle={{ color: chartColors.ink }}
            />
            <Legend
              verticalAlign="top"
              height={30}
              itemSorter={null}
              formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
            />
            {CAUSES.map(({ name, color }) => (
              <Bar
                key={name}
                dataKey={name}
                stackId="lost"
                fill={color}
                stroke={chartColors.panel}
                strokeWidth={1.5}
                barSize={22}
                isAnimationActive={false}
              />
            ))}
            <ReferenceLine
              x={targetUm / perUnit}
              stroke={chartColors.fails}
              strokeDasharray="5 4"
              strokeWidth={2}
              ifOverflow="extendDomain"
              label={{ value: 'accepted', position: 'insideTopRight', fill: chartColors.ink, fontSize: 13 }}
            />
          </BarChart>
        </ResponsiveContainer>
      )}
    </chakra.div>
  )
}
