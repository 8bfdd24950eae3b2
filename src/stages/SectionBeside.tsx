import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { worstSection } from '@/core/sheets/nutRoom/sections'
import { say } from '@/core/units/print'
import { useCatalogue, useSettledAxis, useUnits } from './bench'
import { SectionView } from './SectionView'

/** The tightest section, small, beside the drive line. */
export function SectionBeside() {
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const units = useUnits()
  const { value } = known(() => {
    const t = new Trace(axis, catalogue)
    return { worst: worstSection(t), screw: t.part('screw') }
  })
  if (!value?.worst) return null
  return (
    <chakra.figure fontSize="13px" color="quiet" textAlign="center" data-section-beside>
      <SectionView axis={axis} at={value.worst} screw={value.screw} units={units} />
      <figcaption>tightest, {say(value.worst.station.positionMm, 'length', units, 1)}</figcaption>
    </chakra.figure>
  )
}
