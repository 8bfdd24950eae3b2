import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/job'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { lostMotionBudget } from '@/core/machine/drive/stiffness'
import { axisWithVariant } from '@/core/sheets/compareDrives'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Cell, Figures, HeadCell, Panel } from '@/ui/Panel'
import { useCatalogue } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { LostMotionChart } from './LostMotionChart'

/** The lost-motion budget by cause, of the drive in use and of those that were kept, against the target. */
export function LostMotionPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const catalogue = useCatalogue()
  const budgetOf = (one: Axis) => known(() => lostMotionBudget(new Trace(one, catalogue)))
  const budget = budgetOf(axis)
  const target = axis.goals.backlashTargetUm
  const kept = axis.variants.flatMap(variant => {
    const { value } = budgetOf(axisWithVariant(axis, variant))
    return value ? [{ name: variant.name, causes: value.causes }] : []
  })
  return (
    <Panel
      title="Lost motion by cause"
      note="More preload or a tighter gib takes play away and adds friction: both are in here."
      action={<WorkingButton checkId="axis.lostMotion" of="the lost motion" />}
    >
      {budget.value ? (
        <>
          <LostMotionChart
            drives={[{ name: 'in use', causes: budget.value.causes }, ...kept]}
            targetUm={target}
            units={units}
          />
          <chakra.table width="100%" fontSize="14px" mt="2">
            <thead>
              <tr>
                <HeadCell>Of the drive in use</HeadCell>
                <HeadCell textAlign="right">Lost</HeadCell>
                <HeadCell textAlign="right">Of what is accepted</HeadCell>
              </tr>
            </thead>
            <tbody>
              {budget.value.causes.map(cause => (
                <tr key={cause.label}>
                  <Cell>{cause.label}</Cell>
                  <Cell textAlign="right">
                    <Figures>{say(cause.um, 'smallLength', units)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{say(cause.um / target, 'share', units, 0)}</Figures>
                  </Cell>
                </tr>
              ))}
              <chakra.tr fontWeight={700}>
                <Cell>In all, against {say(target, 'smallLength', units)} accepted</Cell>
                <Cell textAlign="right">
                  <Figures>{say(budget.value.totalUm, 'smallLength', units)}</Figures>
                </Cell>
                <Cell textAlign="right">
                  <Figures>{say(budget.value.totalUm / target, 'share', units, 0)}</Figures>
                </Cell>
              </chakra.tr>
            </tbody>
          </chakra.table>
        </>
      ) : (
        <chakra.p color="quiet">{budget.ask}</chakra.p>
      )}
    </Panel>
  )
}
