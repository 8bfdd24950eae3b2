import { useMemo } from 'react'
import type { Job } from '@/core/document/job'
import { OWN_TASKS } from '@/core/document/plan'
import { nameOf } from '@/core/planning/entries'
import type { Task } from '@/core/planning/tasks'
import { Fold } from '@/ui/Fold'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { useUnits } from '../../job/JobContext'
import { useJobRows } from '../../job/useRows'

const ownOf = (job: Job) => job.plan.ownTasks

/** What the builder adds to what every conversion has: paint that dries, a stand that is welded, a weekend away with the parts. */
export function OwnTasks({ tasks }: { tasks: readonly Task[] }) {
  const rows = useJobRows(OWN_TASKS, ownOf)
  const units = useUnits()
  const options = useMemo(() => {
    const keys = tasks.map(task => ({ value: task.key, label: nameOf(task) }))
    const withNone = [{ value: 'null', label: 'nothing' }, ...keys]
    return { afterKey: withNone, beforeKey: withNone }
  }, [tasks])
  return (
    <Panel title={`Tasks of your own: ${rows.rows.length}`}>
      <Fold name="Add and change them">
        <RowsTable {...rows} units={units} options={options} addLabel="Another task" />
      </Fold>
    </Panel>
  )
}
