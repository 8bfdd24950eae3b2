import { Panel } from '@/ui/Panel'
import { WorkingButton } from '../../job/WorkingButton'
import { PreloadChart } from './PreloadChart'
import { StiffnessChart } from './StiffnessChart'
import { TorqueChart } from './TorqueChart'

/** What a drive does over its speed, its travel and its preload, drawn. */
export const FiguresPanel = () => (
  <>
    <Panel
      title="Torque over speed"
      note="What the motor gives, what the axis asks of it, and what it should have in hand."
      action={<WorkingButton checkId="motor.torqueMargin" of="the motor torque" />}
    >
      <TorqueChart />
    </Panel>
    <Panel
      title="Stiffness over the travel"
      note="Where the drive is softest it gives most under a cut, and rings lowest."
    >
      <StiffnessChart />
    </Panel>
    <Panel
      title="Life against preload"
      note="Preload takes play away and wears the nut: too little opens under load, too much shortens its life."
      action={<WorkingButton checkId="screw.life" of="the life of the screw" />}
    >
      <PreloadChart />
    </Panel>
  </>
)
