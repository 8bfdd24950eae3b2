import { Bar, BarChart, Legend, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts'
import type { LostMotionCause } from '@/core/machine/drive/stiffness'
import { printDigits, printFixed } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { ChartFrame } from '@/ui/chart/ChartFrame'
import { chartColors } from '@/ui/chart/chartColors'

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
    <ChartFrame
      label="Chart of lost motion by cause; its figures are in the table below"
      heightPx={110 + ROW_PX * rows.length}
      series={CAUSES.length}
    >
      {({ has, series: drawn }) => (
        <BarChart
          data={rows}
          layout="vertical"
          margin={{ top: 4, right: 24, bottom: 18, left: 4 }}
          accessibilityLayer={false}
        >
          {has('across') && (
            <XAxis
              type="number"
              stroke={chartColors.quiet}
              tickFormatter={value => printDigits(Number(value), 3)}
              label={{ value: unit, position: 'insideBottom', offset: -10, fill: chartColors.quiet }}
            />
          )}
          {has('up') && (
            <YAxis
              type="category"
              dataKey="name"
              width={150}
              stroke={chartColors.quiet}
              tick={{ width: 140, fill: chartColors.ink, fontSize: 13 }}
            />
          )}
          {has('tip') && (
            <Tooltip
              cursor={{ fill: chartColors.line, fillOpacity: 0.35 }}
              formatter={value => `${printFixed(Number(value), decimals)} ${unit}`}
              contentStyle={{ background: chartColors.panel, borderColor: chartColors.edge }}
              itemStyle={{ color: chartColors.ink }}
            />
          )}
          {has('legend') && (
            <Legend
              verticalAlign="top"
              height={30}
              itemSorter={null}
              formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
            />
          )}
          {CAUSES.slice(0, drawn).map(({ name, color }) => (
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
          {has('limits') && (
            <ReferenceLine
              x={targetUm / perUnit}
              stroke={chartColors.fails}
              strokeDasharray="5 4"
              strokeWidth={2}
              ifOverflow="extendDomain"
              label={{ value: 'accepted', position: 'insideTopRight', fill: chartColors.ink, fontSize: 13 }}
            />
          )}
        </BarChart>
      )}
    </ChartFrame>
  )
}
