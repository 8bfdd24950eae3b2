import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { worstSection } from '@/core/sheets/nutRoom/sections'
import { say } from '@/core/units/print'
import { useUnits } from '../../job/JobContext'
import { useSettledEvaluation } from '../../job/useEvaluation'
import { SectionView } from './SectionView'

/** The tightest section, small, beside the drive line. */
export function SectionBeside() {
  const context = useSettledEvaluation()
  const units = useUnits()
  const { value } = attempt(() => ({ worst: worstSection(context), screw: context.part('screw') }))
  if (!value?.worst) return null
  return (
    <chakra.figure fontSize="13px" color="quiet" textAlign="center" data-section-beside>
      <SectionView section={context.axis.section} at={value.worst} screw={value.screw} units={units} />
      <figcaption>tightest, {say(value.worst.station.positionMm, 'length', units, 1)}</figcaption>
    </chakra.figure>
  )
}
