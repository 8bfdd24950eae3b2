import { CartesianGrid, Legend, Line, LineChart, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts'
import { printDigits, printFixed } from '@/core/units/print'
import { ChartFrame } from './ChartFrame'
import { chartColors } from './chartColors'

export interface Series {
  key: string
  name: string
  color: string
  dash?: string
  /** Drawn without standing in the legend: the edge of a band. */
  unnamed?: true
  /** Drawn as points that nothing joins: what was read, beside the line through it. */
  points?: true
}

export interface LineProps {
  /** What the chart shows, for those who do not see it. */
  label: string
  /** Figures in the units that are shown; null where a line has no value. */
  rows: Record<string, number | null>[]
  x: { key: string; label: string }
  y: { label: string; decimals: number }
  series: readonly Series[]
  /** Upright lines that mark a place, such as the top speed. */
  marks?: { x: number; label: string }[]
  /** Level lines that mark a limit. */
  limits?: { y: number; label: string }[]
  /** Draws the upright scale by powers of ten, for figures that are far apart. */
  byPowers?: boolean
}

/** Lines over a scale. */
export function LineDrawing({
  label,
  rows,
  x,
  y,
  series,
  marks = [],
  limits = [],
  byPowers = false,
}: LineProps) {
  const print = (value: unknown) => `${printFixed(Number(value), y.decimals)} ${y.label}`
  const mark = { stroke: chartColors.ink, strokeDasharray: '4 4' }
  return (
    <ChartFrame label={`${label}; its figures are in the table below`} heightPx={260} series={series.length}>
      {({ has, series: drawn }) => (
        <LineChart data={rows} margin={{ top: 8, right: 16, bottom: 18, left: 8 }} accessibilityLayer={false}>
          {has('up') && <CartesianGrid stroke={chartColors.line} />}
          {has('across') && (
            <XAxis
              dataKey={x.key}
              type="number"
              domain={['dataMin', 'dataMax']}
              stroke={chartColors.quiet}
              tickFormatter={value => printDigits(Number(value), 3)}
              label={{ value: x.label, position: 'insideBottom', offset: -10, fill: chartColors.quiet }}
            />
          )}
          {has('up') && (
            <YAxis
              stroke={chartColors.quiet}
              width={66}
              domain={byPowers ? ['auto', 'auto'] : [0, 'auto']}
              scale={byPowers ? 'log' : 'auto'}
              tickFormatter={value => printDigits(Number(value), 3)}
              label={{ value: y.label, angle: -90, position: 'insideLeft', fill: chartColors.quiet }}
            />
          )}
          {has('tip') && (
            <Tooltip
              formatter={print}
              labelFormatter={value => `${printDigits(Number(value), 4)} ${x.label.split(', ').at(-1)}`}
              contentStyle={{
                background: chartColors.panel,
                borderColor: chartColors.edge,
                color: chartColors.ink,
              }}
            />
          )}
          {has('legend') && series.length > 1 && (
            <Legend
              verticalAlign="top"
              height={30}
              formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
            />
          )}
          {has('limits') &&
            marks.map(({ x: at, label: text }) => (
              <ReferenceLine
                key={text}
                x={at}
                {...mark}
                label={{ value: text, position: 'insideTopRight', fill: chartColors.ink, fontSize: 13 }}
              />
            ))}
          {has('limits') &&
            limits.map(({ y: at, label: text }) => (
              <ReferenceLine
                key={text}
                y={at}
                {...mark}
                ifOverflow="extendDomain"
                label={{ value: text, position: 'insideBottomRight', fill: chartColors.ink, fontSize: 13 }}
              />
            ))}
          {series.slice(0, drawn).map(({ key, name, color, dash, unnamed, points }) => (
            <Line
              key={key}
              dataKey={key}
              name={name}
              stroke={color}
              strokeDasharray={dash}
              legendType={unnamed ? 'none' : undefined}
              strokeWidth={points ? 0 : 2.2}
              dot={points ? { r: 4.5, fill: color, fillOpacity: 1, stroke: color, strokeWidth: 1 } : false}
              isAnimationActive={false}
              type="linear"
            />
          ))}
        </LineChart>
      )}
    </ChartFrame>
  )
}
