import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { lifeOverPreload } from '@/core/machine/drive/strength'
import { preloadN } from '@/core/machine/drive/torque'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { ChartFigures } from '@/ui/chart/ChartFigures'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** Life of a preloaded nut over its preload, with the preload that it has and the life that is wanted. */
export function PreloadChart() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const curve = attempt(() => {
    const t = context
    return { points: lifeOverPreload(t), setN: preloadN(t) }
  })
  if (!curve.value) return <chakra.p color="quiet">{curve.ask}</chakra.p>
  const { points, setN } = curve.value
  if (points.length === 0)
    return <chakra.p color="quiet">This nut has no preload to set: there is nothing to weigh.</chakra.p>
  const { unit, perUnit } = quantityFacts('force')[units]
  return (
    <>
      <LineFigure
        label="Chart of life over preload"
        rows={points.map(point => ({ preload: point.preloadN / perUnit, lifeHours: point.lifeHours }))}
        x={{ key: 'preload', label: `preload, ${unit}` }}
        y={{ label: 'h', decimals: 0 }}
        series={[{ key: 'lifeHours', name: 'life of the nut', color: chartColors.holds }]}
        byPowers
        marks={[{ x: setN / perUnit, label: 'as set' }]}
        limits={[{ y: axis.goals.wantedLifeHours, label: 'wanted' }]}
      />
      <ChartFigures
        heads={['Preload', 'Life']}
        rows={points
          .filter((_, index) => index % 3 === 0)
          .map(point => [say(point.preloadN, 'force', units), say(point.lifeHours, 'hours', units)])}
      />
    </>
  )
}
