import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'

/** What moves and rubs, and how the motor stands to the screw. */
export const LoadsPanel = () => (
  <>
    <Panel title="Mass and friction">
      <DimensionFields group="load" />
    </Panel>
    <Panel title="Motor to screw">
      <DimensionFields group="shafts" />
    </Panel>
  </>
)
