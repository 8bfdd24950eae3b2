import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import type { LostMotionCause } from '@/core/machine/drive/stiffness'
import { lostMotionBudget } from '@/core/machine/drive/stiffness'
import { axisWithVariant } from '@/core/sheets/schools/compareDrives'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { BarsFigure } from '@/ui/chart/BarsFigure'
import { chartColors } from '@/ui/chart/chartColors'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useSettledEvaluation } from '../../job/useEvaluation'
import { WorkingButton } from '../../job/WorkingButton'

/** One colour a cause, none of them a verdict's, each three times as bright or dark as the sheet. */
const CAUSES: { subjects: LostMotionCause['subject'][]; name: string; color: string }[] = [
  { subjects: ['nut'], name: 'nut', color: chartColors.lamp },
  { subjects: ['bearing'], name: 'bearings', color: chartColors.unknown },
  { subjects: ['coupler', 'belt'], name: 'coupler or belt', color: chartColors.brass },
  { subjects: ['screw'], name: 'twist and give', color: chartColors.edge },
  { subjects: ['motor'], name: 'motor', color: chartColors.ink },
]

interface Cause {
  label: string
  um: number
  sum?: boolean
}

/** What each cause loses, by its name in the chart. */
const byCause = (causes: readonly LostMotionCause[], perUnit: number) =>
  Object.fromEntries(
    CAUSES.map(({ name, subjects }) => [
      name,
      causes.reduce((sum, { subject, um }) => (subjects.includes(subject) ? sum + um : sum), 0) / perUnit,
    ]),
  )

/** The lost-motion budget by cause, of the drive in use and of those that were kept, against the target. */
export function LostMotionPanel() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const budget = attempt(() => lostMotionBudget(context))
  const target = axis.goals.backlashTargetUm
  const kept = axis.variants.flatMap(variant => {
    const { value } = attempt(() => lostMotionBudget(context.with(axisWithVariant(axis, variant))))
    return value ? [{ name: variant.name, causes: value.causes }] : []
  })
  const small = (um: number) => say(um, 'smallLength', units)
  const { unit, perUnit, decimals } = quantityFacts('smallLength')[units]
  const sum = (um: number): Cause => ({ label: `In all, against ${small(target)} accepted`, um, sum: true })
  const columns: TableColumn<Cause>[] = [
    { id: 'cause', head: 'Of the drive in use', cell: ({ label }) => label },
    { id: 'lost', head: 'Lost', figures: true, cell: ({ um }) => small(um) },
    {
      id: 'share',
      head: 'Of what is accepted',
      figures: true,
      cell: ({ um }) => say(um / target, 'share', units, 0),
    },
  ]
  return (
    <Panel
      title="Lost motion by cause"
      note="More preload or a tighter gib takes play away and adds friction: both are in here."
      action={<WorkingButton checkId="axis.lostMotion" of="the lost motion" />}
    >
      {budget.value ? (
        <>
          <BarsFigure
            label="Chart of lost motion by cause"
            parts={CAUSES}
            bars={[{ name: 'in use', causes: budget.value.causes }, ...kept].map(({ name, causes }) => ({
              name,
              of: byCause(causes, perUnit),
            }))}
            unit={unit}
            decimals={decimals}
            accepted={target / perUnit}
          />
          <chakra.div mt="2">
            <DataTable
              label="Causes of lost motion in the drive in use"
              columns={columns}
              rows={[...budget.value.causes, sum(budget.value.totalUm)]}
              rowId={({ label }) => label}
              isStrong={(one: Cause) => one.sum === true}
            />
          </chakra.div>
        </>
      ) : (
        <chakra.p color="quiet">{budget.ask}</chakra.p>
      )}
    </Panel>
  )
}
