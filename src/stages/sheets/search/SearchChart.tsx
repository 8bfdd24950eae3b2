import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { CartesianGrid, Legend, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts'
import type { DrivePoint } from '@/core/search/field'
import { currencyNow, moneySign } from '@/core/units/money'
import { money, say } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { ChartFrame } from '@/ui/chart/ChartFrame'
import { chartColors } from '@/ui/chart/chartColors'
import { SelectField } from '@/ui/fields/SelectField'
import { useWholeCatalogue } from '../../job/useEvaluation'
import { driveWords } from './driveWords'

const MERITS = [
  { value: 'margin', label: 'worst margin', quantity: 'ratio' },
  { value: 'lostMotionUm', label: 'lost motion', quantity: 'smallLength' },
  { value: 'heightMm', label: 'height under the slide', quantity: 'length' },
] as const
type Merit = (typeof MERITS)[number]['value']

interface Props {
  points: DrivePoint[]
  units: UnitSystem
  onTake: (point: DrivePoint) => void
}

/** Price against one of the other merits; every point is a drive that can be taken. Its figures are in the table. */
export function SearchChart({ points, units, onTake }: Props) {
  const [merit, setMerit] = useState<Merit>('margin')
  const { label, quantity } = MERITS.find(({ value }) => value === merit) as (typeof MERITS)[number]
  const { unit, perUnit } = quantityFacts(quantity)[units]
  const rowsOf = (wanted: (point: DrivePoint) => boolean) =>
    points.filter(wanted).map(point => ({
      point,
      price: point.priceEur * currencyNow().perEuro,
      merit: point[merit] / perUnit,
    }))
  const take = (entry: { payload?: { point: DrivePoint } }) => entry.payload && onTake(entry.payload.point)
  const axisLabel = unit ? `${label}, ${unit}` : label
  return (
    <chakra.div mb="3">
      <SelectField label="Price against" value={merit} options={MERITS} onChange={setMerit} />
      <chakra.div mt="2">
        <ChartFrame
          label={`Chart of price against ${label}; its figures are in the table below`}
          heightPx={280}
          series={2}
        >
          {({ has, series: drawn }) => (
            <ScatterChart margin={{ top: 8, right: 16, bottom: 22, left: 8 }} accessibilityLayer={false}>
              {has('up') && <CartesianGrid stroke={chartColors.line} />}
              {has('across') && (
                <XAxis
                  dataKey="price"
                  type="number"
                  domain={['auto', 'auto']}
                  stroke={chartColors.quiet}
                  label={{
                    value: `price, ${moneySign()}`,
                    position: 'insideBottom',
                    offset: -12,
                    fill: chartColors.quiet,
                  }}
                />
              )}
              {has('up') && (
                <YAxis
                  dataKey="merit"
                  type="number"
                  width={66}
                  stroke={chartColors.quiet}
                  label={{
                    value: axisLabel,
                    angle: -90,
                    position: 'insideLeft',
                    dy: 50,
                    fill: chartColors.quiet,
                  }}
                />
              )}
              {has('tip') && (
                <Tooltip
                  content={({ payload }) => <PointCard point={payload?.[0]?.payload?.point} units={units} />}
                  cursor={{ stroke: chartColors.edge }}
                />
              )}
              {has('legend') && (
                <Legend
                  verticalAlign="top"
                  height={30}
                  formatter={name => <span style={{ color: chartColors.ink }}>{name}</span>}
                />
              )}
              {drawn > 0 && (
                <Scatter
                  name="everything holds"
                  data={rowsOf(({ margin }) => margin >= 1)}
                  fill={chartColors.holds}
                  isAnimationActive={false}
                  cursor="pointer"
                  onClick={take}
                />
              )}
              {drawn > 1 && (
                <Scatter
                  name="something is close"
                  data={rowsOf(({ margin }) => margin < 1)}
                  shape="triangle"
                  legendType="triangle"
                  fill={chartColors.close}
                  isAnimationActive={false}
                  cursor="pointer"
                  onClick={take}
                />
              )}
            </ScatterChart>
          )}
        </ChartFrame>
      </chakra.div>
      <chakra.p fontSize="13px" color="quiet">
        Pick a point to take its drive; one undo takes it back.
      </chakra.p>
    </chakra.div>
  )
}

function PointCard({ point, units }: { point: DrivePoint | undefined; units: UnitSystem }) {
  const catalogue = useWholeCatalogue()
  if (!point) return null
  return (
    <chakra.div
      bg="panel"
      borderWidth="1px"
      borderColor="edge"
      borderRadius="6px"
      p="2"
      maxW="320px"
      fontSize="13px"
    >
      <chakra.p fontWeight={700}>
        {money(point.priceEur)}, margin {say(point.margin, 'ratio', units, 2)}, loses{' '}
        {say(point.lostMotionUm, 'smallLength', units)}
      </chakra.p>
      <p>{driveWords(point, catalogue)}</p>
    </chakra.div>
  )
}
