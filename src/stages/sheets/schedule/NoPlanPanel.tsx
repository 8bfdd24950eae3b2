import { chakra } from '@chakra-ui/react'
import { nowOf } from '@/core/planning/days'
import { nameOf } from '@/core/planning/entries'
import { lastDayFrom } from '@/core/planning/hours'
import type { NoPlan } from '@/core/planning/plan'
import { setWay } from '@/core/planning/planEdits'
import type { Task } from '@/core/planning/tasks'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { useEdit } from '../../job/JobContext'

/** Why nothing can be planned, and what would mend it. */
export function NoPlanPanel({ plan, tasks }: { plan: NoPlan; tasks: readonly Task[] }) {
  const edit = useEdit()
  const taskOf = (key: string) => tasks.find(task => task.key === key)
  const circle = plan.circle.flatMap(key => taskOf(key) ?? [])
  return (
    <Panel title="There is no plan">
      {plan.reason === 'windows' && (
        <p>
          The work does not fit into the hours there are until {lastDayFrom(nowOf(new Date()).day)}: give it
          more under Working hours. A task that must be done in one go needs a stretch that is as long as
          itself.
        </p>
      )}
      {plan.reason === 'notFound' && (
        <p>
          None was found in the time given to it. Settle on ways for some of the tasks, and it looks again.
        </p>
      )}
      {plan.reason === 'circle' && (
        <>
          <p>These tasks wait for one another in a round, so none of them can be the first:</p>
          <chakra.ol my="2" pl="6" css={{ listStyle: 'decimal' }}>
            {circle.map(task => (
              <li key={task.key}>{nameOf(task)}</li>
            ))}
          </chakra.ol>
          {plan.breaks.length === 0 && (
            <p>No other way of doing one of them breaks it: take an order of your own out of the tasks.</p>
          )}
          {plan.breaks.map(({ key, wayId }) => {
            const task = taskOf(key)
            const way = task?.ways.find(({ id }) => id === wayId)
            if (!task || !way) return null
            return (
              <Button key={key + wayId} variant="outline" mt="1" onClick={() => edit(setWay(task, wayId))}>
                {nameOf(task)}: {way.words}
              </Button>
            )
          })}
        </>
      )}
    </Panel>
  )
}
