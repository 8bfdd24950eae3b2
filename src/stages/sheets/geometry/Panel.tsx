import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'

/** Travel, span and bracket as they are measured. */
export const GeometryPanel = () => (
  <Panel title="Geometry">
    <DimensionFields group="geometry" />
  </Panel>
)
