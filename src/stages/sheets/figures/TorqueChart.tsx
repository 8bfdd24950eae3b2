import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { topSpeedRpm } from '@/core/machine/drive/load'
import { torqueCurve } from '@/core/machine/drive/torque'
import { ratio } from '@/core/machine/drive/transmission'
import { torqueLimits } from '@/core/sheets/parts/motorChecks'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { ChartFigures } from '@/ui/chart/ChartFigures'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useSettledEvaluation } from '../../job/useEvaluation'

const SERIES = [
  { key: 'availableNm', name: 'motor gives', color: chartColors.holds },
  { key: 'acceleratingNm', name: 'speeding up takes', color: chartColors.lamp },
  { key: 'cuttingNm', name: 'cutting takes', color: chartColors.close, dash: '2 3' },
  { key: 'marginNm', name: 'with the margin wanted', color: chartColors.fails, dash: '8 4' },
] as const

/** Torque over motor speed: available, required, and required with its margin. */
export function TorqueChart() {
  const context = useSettledEvaluation()
  const { units } = context
  const curve = attempt(() => {
    const t = context
    return {
      points: torqueCurve(t, t.limits(torqueLimits(t)).holds),
      topRpm: topSpeedRpm(t) * ratio(t),
    }
  })
  if (!curve.value) return <chakra.p color="quiet">{curve.ask}</chakra.p>
  const { points, topRpm } = curve.value
  const { unit, perUnit } = quantityFacts('torque')[units]
  const shown = (nm: number | null) => (nm === null ? null : nm / perUnit)
  return (
    <>
      <LineFigure
        label="Chart of torque over speed"
        rows={points.map(({ speedRpm, availableNm, acceleratingNm, cuttingNm, marginNm }) => ({
          speedRpm,
          availableNm: shown(availableNm),
          acceleratingNm: shown(acceleratingNm),
          cuttingNm: shown(cuttingNm),
          marginNm: shown(marginNm),
        }))}
        x={{ key: 'speedRpm', label: 'motor speed, rpm' }}
        y={{ label: unit, decimals: 2 }}
        series={SERIES}
        marks={[{ x: topRpm, label: 'top speed' }]}
      />
      <ChartFigures
        heads={['Speed', ...SERIES.map(series => series.name)]}
        rows={points
          .filter((point, index) => index % 4 === 0 || point.speedRpm === topRpm)
          .map(point => [
            say(point.speedRpm, 'rotation', units),
            ...[point.availableNm, point.acceleratingNm, point.cuttingNm, point.marginNm].map(nm =>
              nm === null ? '' : say(nm, 'torque', units),
            ),
          ])}
      />
    </>
  )
}
