import { Bar, BarChart, Legend, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts'
import { printDigits, printFixed } from '@/core/units/print'
import { ChartFrame } from './ChartFrame'
import { chartColors } from './chartColors'

export interface BarsProps {
  /** What the chart shows, for those who do not see it. */
  label: string
  /** What a bar is laid together from, each in a colour that is no verdict's. */
  parts: readonly { name: string; color: string }[]
  /** Each bar with its parts by their names, in the unit that is shown. */
  bars: readonly { name: string; of: Readonly<Record<string, number>> }[]
  unit: string
  decimals: number
  /** What is accepted in all, where there is such a figure. */
  accepted?: number
  acceptedLabel?: string
  /** Room for the names of the bars. */
  namePx?: number
}

const ROW_PX = 46

/** Bars that are laid together from parts, against what is accepted. */
export function BarsDrawing({
  label,
  parts,
  bars,
  unit,
  decimals,
  accepted,
  acceptedLabel = 'accepted',
  namePx = 150,
}: BarsProps) {
  return (
    <ChartFrame
      label={`${label}; its figures are in the table below`}
      heightPx={110 + ROW_PX * bars.length}
      series={parts.length}
    >
      {({ has, series: drawn }) => (
        <BarChart
          data={bars.map(({ name, of }) => ({ name, ...of }))}
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
              width={namePx}
              stroke={chartColors.quiet}
              tick={{ width: namePx - 10, fill: chartColors.ink, fontSize: 13 }}
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
          {has('legend') && parts.length > 1 && (
            <Legend
              verticalAlign="top"
              height={30}
              itemSorter={null}
              formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
            />
          )}
          {parts.slice(0, drawn).map(({ name, color }) => (
            <Bar
              key={name}
              dataKey={name}
              stackId="all"
              fill={color}
              stroke={chartColors.panel}
              strokeWidth={1.5}
              barSize={22}
              isAnimationActive={false}
            />
          ))}
          {has('limits') && accepted !== undefined && (
            <ReferenceLine
              x={accepted}
              stroke={chartColors.fails}
              strokeDasharray="5 4"
              strokeWidth={2}
              ifOverflow="extendDomain"
              label={{
                value: acceptedLabel,
                position: 'insideTopLeft',
                fill: chartColors.ink,
                fontSize: 13,
              }}
            />
          )}
        </BarChart>
      )}
    </ChartFrame>
  )
}
