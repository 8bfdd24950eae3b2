import { chakra } from '@chakra-ui/react'
import { Play } from 'lucide-react'
import { MOST_TASK_MINUTES } from '@/core/document/plan'
import type { Now } from '@/core/planning/days'
import { dateAt } from '@/core/planning/days'
import { nameOf, type Placed } from '@/core/planning/entries'
import { finishTask, setMinutes, setWay, startTask } from '@/core/planning/planEdits'
import { KINDS } from '@/core/planning/taskKinds'
import type { Task } from '@/core/planning/tasks'
import { nearDayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Note, Stated } from '@/ui/Note'
import { Figures, Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { lengthWords, spanWords, workWords } from '../../job/plan/planWords'

const FREE = 'free'

/** Tasks that are ticked here: what has neither steps of its own nor readings that say it is done. */
const isTickedHere = ({ kind }: Task): boolean =>
  kind !== 'parcel' && kind !== 'measure' && kind !== 'align1' && !KINDS[kind].parts

const FROM_WORDS: Record<Task['minutesFrom'], string> = {
  usual: 'as is usual',
  yours: 'as you have it',
  learned: 'as it took before',
  order: 'by the order list',
}

/** Every task in its turn: when, how, how long, and how much later it could be. */
export function Agenda({ placed, now }: { placed: readonly Placed[]; now: Now }) {
  const edit = useEdit()
  const units = useUnits()
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const columns: TableColumn<Placed>[] = [
    {
      id: 'when',
      head: 'When',
      widthPx: 158,
      cell: ({ beginMinute, finishMinute, way }) => (
        <Stated as="span">
          {way.waits
            ? `here on ${nearDayWords(dateAt(now.day, finishMinute))}`
            : spanWords(now.day, beginMinute, finishMinute)}
        </Stated>
      ),
    },
    {
      id: 'what',
      head: 'What',
      cell: ({ task, way, holdsEnd, slackMinutes }) => (
        <>
          <strong>{nameOf(task)}</strong>
          <chakra.span display="block" fontSize="13px" color={holdsEnd ? 'close' : 'quiet'}>
            {holdsEnd
              ? 'nothing to spare: the end hangs on it'
              : way.waits
                ? `${lengthWords(slackMinutes)} to spare`
                : `${workWords(slackMinutes)} of work to spare`}
          </chakra.span>
        </>
      ),
    },
    {
      id: 'how',
      head: 'How',
      widthPx: 214,
      cell: ({ task, way }) =>
        task.ways.length > 1 ? (
          <SelectField
            label={`Way: ${nameOf(task)}`}
            hideLabel
            value={task.wanted ?? FREE}
            options={[
              { value: FREE, label: `what fits best: ${way.words}` },
              ...task.ways.map(one => ({ value: one.id, label: one.words })),
            ]}
            onChange={next => edit(setWay(task, next === FREE ? null : next))}
          />
        ) : (
          <Note as="span">{way.words}</Note>
        ),
    },
    {
      id: 'minutes',
      head: 'Minutes',
      widthPx: 92,
      cell: ({ task, way }) =>
        way.waits || task.left < 1 ? (
          <Figures>{task.kind === 'parcel' ? '–' : lengthWords(way.minutes)}</Figures>
        ) : (
          <div>
            <QuantityField
              label={`Minutes: ${nameOf(task)}`}
              hideLabel
              hideUnit
              kind="ratio"
              units={units}
              min={1}
              max={MOST_TASK_MINUTES}
              optional
              value={way.minutes}
              onValue={(value, mergeKey) =>
                edit(setMinutes(task, value === null ? null : Math.round(value), way.id, mergeKey))
              }
            />
            <chakra.span display="block" fontSize="12px" color="quiet">
              {FROM_WORDS[task.minutesFrom]}
            </chakra.span>
          </div>
        ),
    },
    {
      id: 'act',
      widthPx: 132,
      head: <chakra.span srOnly>Do</chakra.span>,
      cell: ({ task }) => (
        <chakra.div display="flex" justifyContent="flex-end" gap="1">
          {task.kind !== 'parcel' && task.note.startedAt === null && (
            <Button
              variant="quiet"
              px="2"
              minW="44px"
              aria-label={`Begin: ${nameOf(task)}`}
              title="Begin: the time is taken"
              onClick={() => edit(startTask(task, new Date().toISOString()))}
            >
              <Play size={16} aria-hidden />
            </Button>
          )}
          {isTickedHere(task) ? (
            <Button
              variant="outline"
              aria-label={`Done: ${nameOf(task)}`}
              onClick={() => edit(finishTask(task, new Date().toISOString()))}
            >
              Done
            </Button>
          ) : (
            <PlaceButton
              variant="outline"
              aria-label={`Go to: ${nameOf(task)}`}
              place={{ jobId, axisId: task.axisId ?? axisId, ...task.place }}
            >
              Go
            </PlaceButton>
          )}
        </chakra.div>
      ),
    },
  ]
  return (
    <Panel title="Task by task">
      <ScrollBox label="Tasks, to scroll" abovePx={460}>
        <DataTable
          label="Tasks of the plan"
          columns={columns}
          rows={placed}
          rowId={({ key }) => key}
          leastPx={780}
          fixed
          rowProps={({ key }) => ({ 'data-task': key })}
        />
      </ScrollBox>
    </Panel>
  )
}
