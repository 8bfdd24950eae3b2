import { chakra } from '@chakra-ui/react'
import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'
import { useAxis } from '../../job/useAxis'

/** How the motor's shaft stands to the screw, once both are in. */
export function ShaftsPanel() {
  const belted = useAxis(axis => axis.drive.transmission === 'belt')
  return (
    <Panel
      title="Motor to screw"
      note="What no coupler is asked to make up for does not wear it. Measured once the motor and its coupler are in; until then each stands at a usual value, marked assumed."
    >
      {belted ? (
        <chakra.p>
          A belt drives this screw: nothing here is asked of it. The pulleys are set in line as a step of
          Build.
        </chakra.p>
      ) : (
        <DimensionFields group="shafts" />
      )}
    </Panel>
  )
}
