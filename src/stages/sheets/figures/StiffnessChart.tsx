import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { attempt } from '@/core/evaluation/attempt'
import { stiffnessOverTravel } from '@/core/machine/drive/stiffness'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { ChartFigures } from '@/ui/chart/ChartFigures'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { SelectField } from '@/ui/fields/SelectField'
import { useSettledEvaluation } from '../../job/useEvaluation'

const SHOWN = [
  { value: 'stiffnessNPerUm', label: 'stiffness', quantity: 'stiffness' },
  { value: 'frequencyHz', label: 'natural frequency', quantity: 'frequency' },
] as const

/** Stiffness or natural frequency of the drive over its travel. */
export function StiffnessChart() {
  const context = useSettledEvaluation()
  const { units } = context
  const [shown, setShown] = useState<(typeof SHOWN)[number]['value']>('stiffnessNPerUm')
  const curve = attempt(() => stiffnessOverTravel(context))
  if (!curve.value) return <chakra.p color="quiet">{curve.ask}</chakra.p>
  const { label, quantity } = SHOWN.find(({ value }) => value === shown) as (typeof SHOWN)[number]
  const { unit, perUnit, decimals } = quantityFacts(quantity)[units]
  const length = quantityFacts('length')[units]
  return (
    <>
      <chakra.div mb="2">
        <SelectField label="Over the travel" value={shown} options={SHOWN} onChange={setShown} />
      </chakra.div>
      <LineFigure
        label={`Chart of ${label} over the travel`}
        rows={curve.value.map(point => ({
          positionMm: point.positionMm / length.perUnit,
          figure: point[shown] / perUnit,
        }))}
        x={{ key: 'positionMm', label: `from the fixed end of the travel, ${length.unit}` }}
        y={{ label: unit, decimals }}
        series={[{ key: 'figure', name: label, color: chartColors.holds }]}
      />
      <ChartFigures
        heads={['Place', 'Stiffness', 'Natural frequency']}
        rows={curve.value
          .filter((_, index) => index % 4 === 0)
          .map(point => [
            say(point.positionMm, 'length', units, 1),
            say(point.stiffnessNPerUm, 'stiffness', units),
            say(point.frequencyHz, 'frequency', units),
          ])}
      />
    </>
  )
}
