import { chakra } from '@chakra-ui/react'
import { Bar, BarChart, CartesianGrid, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts'
import type { Spread } from '@/core/sheets/chain/monteCarlo'
import { printDigits, printFixed, say } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { ChartFigures } from '@/ui/chart/ChartFigures'
import { ChartFrame } from '@/ui/chart/ChartFrame'
import { chartColors } from '@/ui/chart/chartColors'
import { Stated } from '@/ui/Note'

interface Props {
  spread: Spread
  names: string[]
  limits: { lowerLimitMm: number; upperLimitMm: number }
  units: UnitSystem
}

/** How often a chain comes out how long, with its limits, and which link drives the spread. */
export function SpreadChart({ spread, names, limits, units }: Props) {
  const { unit, perUnit } = quantityFacts('length')[units]
  const step = (spread.mostMm - spread.leastMm) / spread.bins.length
  const rows = spread.bins.map((count, index) => ({
    at: (spread.leastMm + (index + 0.5) * step) / perUnit,
    share: (100 * count) / spread.draws,
  }))
  const drivers = spread.shares
    .map((share, index) => ({ name: names[index] ?? `link ${index + 1}`, share }))
    .toSorted((a, b) => b.share - a.share)
  return (
    <>
      <chakra.div mt="2">
        <ChartFrame label="Chart of the spread; its figures are in the table below" heightPx={220} series={1}>
          {({ has, series: drawn }) => (
            <BarChart
              data={rows}
              margin={{ top: 8, right: 16, bottom: 18, left: 8 }}
              accessibilityLayer={false}
            >
              {has('up') && <CartesianGrid stroke={chartColors.line} vertical={false} />}
              {has('across') && (
                <XAxis
                  dataKey="at"
                  type="number"
                  domain={['dataMin', 'dataMax']}
                  stroke={chartColors.quiet}
                  tickFormatter={value => printDigits(Number(value), 5)}
                  label={{ value: unit, position: 'insideBottom', offset: -10, fill: chartColors.quiet }}
                />
              )}
              {has('up') && <YAxis stroke={chartColors.quiet} width={56} unit="%" />}
              {has('tip') && (
                <Tooltip
                  formatter={value => `${printFixed(Number(value), 2)} %`}
                  labelFormatter={value => `${printDigits(Number(value), 6)} ${unit}`}
                  contentStyle={{
                    background: chartColors.panel,
                    borderColor: chartColors.edge,
                    color: chartColors.ink,
                  }}
                />
              )}
              {drawn > 0 && (
                <Bar
                  dataKey="share"
                  name="of the draws"
                  fill={chartColors.lamp}
                  isAnimationActive={false}
                  barSize={7}
                />
              )}
              {has('limits') &&
                [limits.lowerLimitMm, limits.upperLimitMm].map((mm, index) => (
                  <ReferenceLine
                    key={index === 0 ? 'lower' : 'upper'}
                    x={mm / perUnit}
                    stroke={chartColors.fails}
                    strokeDasharray="5 4"
                    ifOverflow="extendDomain"
                    label={{
                      value: index === 0 ? 'least' : 'most',
                      position: 'insideTopLeft',
                      fill: chartColors.ink,
                      fontSize: 13,
                    }}
                  />
                ))}
            </BarChart>
          )}
        </ChartFrame>
      </chakra.div>
      <Stated mt="1">
        What drives it:{' '}
        {drivers
          .slice(0, 3)
          .map(({ name, share }) => `${name} ${say(share, 'share', units, 0)}`)
          .join(', ')}
        .
      </Stated>
      <ChartFigures
        heads={['Link', 'Share of the spread']}
        rows={drivers.map(({ name, share }) => [name, say(share, 'share', units)])}
      />
    </>
  )
}
