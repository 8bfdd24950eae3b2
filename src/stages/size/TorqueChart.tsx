import { chakra } from '@chakra-ui/react'
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import type { Axis } from '@/core/job/types'
import { topSpeedRpm } from '@/core/sizing/evaluate/load'
import { torqueCurve } from '@/core/sizing/evaluate/torque'
import { ratio } from '@/core/sizing/evaluate/transmission'
import { CATALOGUE } from '@/core/sizing/parts'
import { say } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { LIMITS } from '@/core/verdicts/finding'
import { torqueLimits } from '@/core/verdicts/sizing/motorChecks'
import { Trace } from '@/core/verdicts/trace'
import { ChartFigures, chartColors } from '@/ui/charts'
import { known } from '../known'

const SERIES = [
  { key: 'availableNm', name: 'motor gives', color: chartColors.holds, dash: undefined, width: 2.5 },
  { key: 'acceleratingNm', name: 'speeding up takes', color: chartColors.lamp, dash: undefined, width: 2 },
  { key: 'cuttingNm', name: 'cutting takes', color: chartColors.close, dash: '2 3', width: 2 },
  { key: 'marginNm', name: 'with the margin wanted', color: chartColors.fails, dash: '8 4', width: 2 },
] as const

/** Torque over motor speed: available, required, and required with its margin. */
export function TorqueChart({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const curve = known(() => {
    const t = new Trace(axis, CATALOGUE)
    return { points: torqueCurve(t, LIMITS[torqueLimits(t)].holds), topRpm: topSpeedRpm(t) * ratio(t) }
  })
  if (!curve.value) return <chakra.p color="quiet">{curve.ask}</chakra.p>
  const { unit, perUnit } = quantityFacts('torque')[units]
  const shown = (nm: number | null) => (nm === null ? null : nm / perUnit)
  const rows = curve.value.points.map(point => ({
    speedRpm: point.speedRpm,
    availableNm: shown(point.availableNm),
    acceleratingNm: shown(point.acceleratingNm),
    cuttingNm: shown(point.cuttingNm),
    marginNm: shown(point.marginNm),
  }))
  const print = (value: unknown) => `${Number(value).toFixed(2)} ${unit}`
  return (
    <chakra.div>
      <chakra.div
        height="260px"
        role="img"
        aria-label="Chart of torque over speed; its figures are in the table below"
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            data={rows}
            margin={{ top: 8, right: 16, bottom: 18, left: 8 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke={chartColors.line} />
            <XAxis
              dataKey="speedRpm"
              type="number"
              domain={[0, 'dataMax']}
              stroke={chartColors.quiet}
              tickFormatter={rpm => String(Math.round(rpm))}
              label={{
                value: 'motor speed, rpm',
                position: 'insideBottom',
                offset: -10,
                fill: chartColors.quiet,
              }}
            />
            <YAxis
              stroke={chartColors.quiet}
              width={62}
              label={{ value: unit, angle: -90, position: 'insideLeft', fill: chartColors.quiet }}
            />
            <Tooltip
              formatter={print}
              labelFormatter={rpm => `${Math.round(Number(rpm))} rpm`}
              contentStyle={{
                background: chartColors.panel,
                borderColor: chartColors.edge,
                color: chartColors.ink,
              }}
            />
            <Legend
              verticalAlign="top"
              height={30}
              formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
            />
            <ReferenceLine
              x={curve.value.topRpm}
              stroke={chartColors.ink}
              strokeDasharray="4 4"
              label={{ value: 'top speed', position: 'insideTopRight', fill: chartColors.ink, fontSize: 13 }}
            />
            {SERIES.map(series => (
              <Line
                key={series.key}
                dataKey={series.key}
                name={series.name}
                stroke={series.color}
                strokeDasharray={series.dash}
                strokeWidth={series.width}
                dot={false}
                isAnimationActive={false}
                type="linear"
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </chakra.div>
      <ChartFigures
        heads={['Speed', ...SERIES.map(series => series.name)]}
        rows={curve.value.points
          .filter((point, index) => index % 4 === 0 || point.speedRpm === curve.value.topRpm)
          .map(point => [
            say(point.speedRpm, 'rotation', units),
            ...[point.availableNm, point.acceleratingNm, point.cuttingNm, point.marginNm].map(nm =>
              nm === null ? '' : say(nm, 'torque', units),
            ),
          ])}
      />
    </chakra.div>
  )
}
