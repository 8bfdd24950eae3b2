import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'

/** What moves, what holds it up, and what rubs. */
export const LoadsPanel = () => (
  <Panel title="Mass and friction">
    <DimensionFields group="load" />
  </Panel>
)
