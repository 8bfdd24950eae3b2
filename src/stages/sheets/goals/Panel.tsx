import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { memo, useCallback, useState } from 'react'
import { GOALS, type GoalKey } from '@/core/document/dimensions'
import { setGoal } from '@/core/document/edits'
import { WORK, WORK_WORDS, type Work } from '@/core/document/work'
import { goalsAsked } from '@/core/machine/stillToMeasure'
import { setWork, worksOf } from '@/core/machine/usualGoals'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useAxis, useAxisDigest, useAxisNow } from '../../job/useAxis'

const CuttingDialog = dynamic(() => import('./CuttingDialog').then(module => module.CuttingDialog), {
  ssr: false,
})

/** What the builder wants from the axis: by what it is for, and by figures of one's own. */
export function GoalsPanel() {
  const [cutting, setCutting] = useState(false)
  const keys = useAxisDigest(goalsAsked)
  return (
    <Panel
      title="What you want from it"
      note="What is usual for its work stands until you set it yourself; only then is it printed as wanted."
      action={
        <Button variant="quiet" onClick={() => setCutting(true)}>
          Force from the cut
        </Button>
      }
    >
      {cutting && <CuttingDialog onClose={() => setCutting(false)} />}
      <WorkField />
      <chakra.div
        display="grid"
        gap="3"
        mt="3"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 1fr))' }}
        data-readings
      >
        {keys.map(key => (
          <GoalField key={key} goal={key} />
        ))}
      </chakra.div>
    </Panel>
  )
}

const NOT_SAID = 'none'

function WorkField() {
  const work = useAxis(axis => axis.work)
  const machineKind = useJob(job => job.machineKind)
  const units = useUnits()
  const axisNow = useAxisNow()
  const edit = useEdit()
  return (
    <chakra.div maxW="420px">
      <SelectField<Work | typeof NOT_SAID>
        label={WORK.label}
        value={work ?? NOT_SAID}
        options={[
          { value: NOT_SAID, label: 'not said yet' },
          ...worksOf(machineKind).map(value => ({ value, label: WORK_WORDS[value] })),
        ]}
        onChange={next => edit(setWork(axisNow(), { machineKind, units }, next === NOT_SAID ? null : next))}
      />
    </chakra.div>
  )
}

/** A goal with where it comes from, as long as it is not the builder's own. */
const GoalField = memo(function GoalField({ goal }: { goal: GoalKey }) {
  const value = useAxis(axis => axis.goals[goal])
  const source = useAxis(axis => axis.goalsFrom[goal])
  const work = useAxis(axis => axis.work)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { label, quantity, min, max, help } = GOALS[goal]
  const onValue = useCallback(
    (next: number | null, mergeKey: string) =>
      next !== null && edit(setGoal(axisNow(), goal, next, mergeKey)),
    [edit, goal, axisNow],
  )
  return (
    <div data-goal={goal}>
      <QuantityField
        label={label}
        kind={quantity}
        units={units}
        min={min}
        max={max}
        confirms={source !== 'wanted'}
        value={value}
        onValue={onValue}
        hint={`${help} ${
          source === 'wanted'
            ? ''
            : source === 'usual' && work
              ? `Usual for ${WORK_WORDS[work]}.`
              : 'A figure to start from: nobody has set it.'
        }`}
      />
    </div>
  )
})
