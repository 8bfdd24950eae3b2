import type { Axis } from '@/core/document/job'
import type { UnitSystem } from '@/core/units/quantity'
import { Panel } from '@/ui/Panel'
import { WorkingButton } from '../WorkingButton'
import { DutyPanel } from './DutyPanel'
import { LostMotionPanel } from './LostMotionPanel'
import { PreloadChart } from './PreloadChart'
import { StiffnessChart } from './StiffnessChart'
import { SearchPanel } from './search/SearchPanel'
import { TorqueChart } from './TorqueChart'
import { VariantsPanel } from './VariantsPanel'

/** The search, the charts and the duty of a drive. */
export function SizeFigures({ axis, units }: { axis: Axis; units: UnitSystem }) {
  return (
    <>
      <VariantsPanel axis={axis} units={units} />
      <SearchPanel axis={axis} units={units} />
      <Panel
        title="Torque over speed"
        note="What the motor gives, what the axis asks of it, and what it should have in hand."
        action={<WorkingButton checkId="motor.torqueMargin" of="the motor torque" />}
      >
        <TorqueChart axis={axis} units={units} />
      </Panel>
      <LostMotionPanel axis={axis} units={units} />
      <DutyPanel axis={axis} units={units} />
      <Panel
        title="Stiffness over the travel"
        note="Where the drive is softest it gives most under a cut, and rings lowest."
      >
        <StiffnessChart axis={axis} units={units} />
      </Panel>
      <Panel
        title="Life against preload"
        note="Preload takes play away and wears the nut: too little opens under load, too much shortens its life."
        action={<WorkingButton checkId="screw.life" of="the life of the screw" />}
      >
        <PreloadChart axis={axis} units={units} />
      </Panel>
    </>
  )
}
