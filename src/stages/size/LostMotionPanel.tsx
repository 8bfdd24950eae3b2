import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/job/types'
import { lostMotionBudget } from '@/core/sizing/evaluate/stiffness'
import { CATALOGUE } from '@/core/sizing/parts'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Trace } from '@/core/verdicts/trace'
import { Cell, Figures, Panel } from '@/ui/Panel'
import { known } from '../known'
import { WorkingButton } from '../WorkingButton'

/** The lost-motion budget by cause, largest first, each against the target. */
export function LostMotionPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const budget = known(() => lostMotionBudget(new Trace(axis, CATALOGUE)))
  const target = axis.goals.backlashTargetUm
  return (
    <Panel
      title="Lost motion by cause"
      note="More preload or a tighter gib takes play away and adds friction: both are in here."
      action={<WorkingButton checkId="axis.lostMotion" of="the lost motion" />}
    >
      {budget.value ? (
        <chakra.table width="100%" fontSize="14px">
          <tbody>
            {budget.value.causes.map(cause => (
              <tr key={cause.label}>
                <Cell width="34%">{cause.label}</Cell>
                <Cell width="16%" textAlign="right">
                  <Figures>{say(cause.um, 'smallLength', units)}</Figures>
                </Cell>
                <Cell>
                  <chakra.div height="10px" bg="sunken" borderRadius="5px">
                    <chakra.div
                      height="10px"
                      borderRadius="5px"
                      bg="brass"
                      width={`${Math.min(100, (cause.um / target) * 100)}%`}
                    />
                  </chakra.div>
                </Cell>
              </tr>
            ))}
            <chakra.tr fontWeight={700}>
              <Cell>In all, against {say(target, 'smallLength', units)} accepted</Cell>
              <Cell textAlign="right">
                <Figures>{say(budget.value.totalUm, 'smallLength', units)}</Figures>
              </Cell>
              <Cell />
            </chakra.tr>
          </tbody>
        </chakra.table>
      ) : (
        <chakra.p color="quiet">{budget.ask}</chakra.p>
      )}
    </Panel>
  )
}
