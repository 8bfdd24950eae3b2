import { CartesianGrid, Line, LineChart, ReferenceLine, XAxis, YAxis } from 'recharts'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { ChartFrame } from '@/ui/chart/ChartFrame'
import { chartColors } from '@/ui/chart/chartColors'

/** The largest correction of each round against what is accepted; its figures stand in the list above it. */
export function RoundsChart({
  rounds,
  targetUm,
  units,
}: {
  rounds: (number | null)[]
  targetUm: number
  units: UnitSystem
}) {
  const { unit, perUnit } = quantityFacts('smallLength')[units]
  const rows = rounds.map((worstUm, index) => ({
    round: index + 1,
    worst: worstUm === null ? null : worstUm / perUnit,
  }))
  return (
    <ChartFrame
      label="Chart of the largest correction round by round; its figures are in the list above"
      heightPx={190}
      series={1}
    >
      {({ has, series: drawn }) => (
        <LineChart
          data={rows}
          margin={{ top: 12, right: 24, bottom: 18, left: 8 }}
          accessibilityLayer={false}
        >
          {has('up') && <CartesianGrid stroke={chartColors.line} />}
          {has('across') && (
            <XAxis
              dataKey="round"
              stroke={chartColors.quiet}
              allowDecimals={false}
              label={{ value: 'round', position: 'insideBottom', offset: -10, fill: chartColors.quiet }}
            />
          )}
          {has('up') && (
            <YAxis
              stroke={chartColors.quiet}
              width={58}
              domain={[0, 'auto']}
              label={{ value: unit, angle: -90, position: 'insideLeft', fill: chartColors.quiet }}
            />
          )}
          {has('limits') && (
            <ReferenceLine
              y={targetUm / perUnit}
              stroke={chartColors.holds}
              strokeDasharray="6 4"
              label={{
                value: 'accepted',
                position: 'insideBottomLeft',
                fill: chartColors.holds,
                fontSize: 13,
              }}
            />
          )}
          {drawn > 0 && (
            <Line
              dataKey="worst"
              stroke={chartColors.lamp}
              strokeWidth={2.5}
              dot={{ r: 5, fill: chartColors.lamp }}
              isAnimationActive={false}
            />
          )}
        </LineChart>
      )}
    </ChartFrame>
  )
}
