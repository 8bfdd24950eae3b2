import { chakra } from '@chakra-ui/react'
import { useEffect, useMemo, useRef, useState } from 'react'
import { STAGES } from '@/core/document/stages'
import type { NextAction } from '@/core/planning/next'
import { momentWords } from '@/core/units/dateWords'
import type { JobRow } from '@/store/database'
import { describeProblem, type Problem } from '@/store/problem'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Note, Stated } from '@/ui/Note'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { addressAsKnown } from '../job/address'
import { JobCard } from './JobCard'

interface Line {
  row: JobRow
  /** What each axis needs next; null until that is worked out. */
  next: NextAction[] | null
}

/** What is looked through when a job is looked for. */
const wordsOf = ({ row: { job }, next }: Line) =>
  [
    job.name,
    job.machineKind,
    job.acceptance.customer,
    job.acceptance.place,
    ...(next ?? []).map(({ text }) => text),
  ]
    .join(' ')
    .toLowerCase()

/** How far the furthest behind of a job's axes is, by the stages of the work; after all of them where nothing is left. */
const behind = ({ next }: Line): number =>
  next === null
    ? -1
    : Math.min(STAGES.length, ...next.map(({ stage }) => STAGES.indexOf(stage as (typeof STAGES)[number])))

/** The jobs of a shop that has many: found by name, customer or what is next, put in order, one a line. */
export function JobsTable({ rows, onProblem }: { rows: JobRow[]; onProblem: (problem: Problem) => void }) {
  const [sought, setSought] = useState('')
  const [shown, setShown] = useState<string | null>(null)
  const nexts = useNexts(rows, onProblem)
  const lines = useMemo(() => rows.map(row => ({ row, next: nexts.get(keyOf(row)) ?? null })), [rows, nexts])
  const words = sought.trim().toLowerCase().split(/\s+/)
  const found = lines.filter(line => words.every(word => wordsOf(line).includes(word)))
  const card = rows.find(({ id }) => id === shown)
  const known = lines.filter(({ next }) => next !== null).length
  const columns: TableColumn<Line>[] = [
    {
      id: 'name',
      head: 'Machine',
      value: ({ row }) => row.job.name.toLowerCase(),
      cell: ({ row: { job } }) => (
        <chakra.a
          href={addressAsKnown({ jobId: job.id, axisId: job.axes[0]?.id ?? null, stage: 'survey' })}
          fontWeight={700}
          overflowWrap="anywhere"
          display="inline-flex"
          alignItems="center"
          minH={{ base: '44px', xl: '28px' }}
        >
          {job.name}
        </chakra.a>
      ),
    },
    {
      id: 'kind',
      head: 'Kind',
      value: ({ row }) => row.job.machineKind,
      cell: ({ row }) => row.job.machineKind,
    },
    {
      id: 'customer',
      head: 'Made for',
      value: ({ row }) => row.job.acceptance.customer?.toLowerCase() ?? '',
      cell: ({ row }) => row.job.acceptance.customer ?? '–',
    },
    {
      id: 'next',
      head: 'Needs next',
      value: behind,
      cell: ({ next }) => (
        <Stated as="span">
          {next === null ? '…' : next.length === 0 ? 'nothing' : next.map(({ text }) => text).join('; ')}
        </Stated>
      ),
    },
    {
      id: 'saved',
      head: 'Saved',
      value: ({ row }) => row.savedAt,
      cell: ({ row }) => <Note as="span">{momentWords(row.savedAt)}</Note>,
    },
    {
      id: 'more',
      head: <chakra.span srOnly>More</chakra.span>,
      cell: ({ row }) => (
        <Button
          variant="quiet"
          aria-expanded={row.id === shown}
          aria-label={`${row.id === shown ? 'Less of' : 'More of'} ${row.job.name}`}
          onClick={() => setShown(row.id === shown ? null : row.id)}
        >
          {row.id === shown ? 'Less' : 'More'}
        </Button>
      ),
    },
  ]
  return (
    <chakra.section aria-label="All jobs" display="grid" gap="3">
      <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end">
        <chakra.div flex="1 1 260px" maxW="420px">
          <TextField
            label="Find a job"
            hint="By name, kind, customer, place, or what it needs next"
            value={sought}
            onChange={event => setSought(event.currentTarget.value)}
          />
        </chakra.div>
        <Note role="status">
          {found.length} of {rows.length} jobs
          {known < rows.length && `; what is next is worked out for ${known}`}
        </Note>
      </chakra.div>
      {card && (
        <ul>
          <JobCard row={card} onProblem={onProblem} />
        </ul>
      )}
      <ScrollBox label="Jobs, to scroll" abovePx={320}>
        <DataTable
          label="Jobs"
          columns={columns}
          rows={found}
          rowId={({ row }) => row.id}
          isMarked={({ row }) => row.id === shown}
          rowProps={({ row }) => ({ 'data-job': row.id })}
          leastPx={760}
        />
      </ScrollBox>
    </chakra.section>
  )
}

/** A job as it was stored last. */
const keyOf = ({ id, savedAt }: JobRow) => `${id} ${savedAt}`

/** What the axes of each job need next, one job worked out after another beside the screen, by the job as it was stored. */
function useNexts(rows: readonly JobRow[], onProblem: (problem: Problem) => void) {
  const [nexts, setNexts] = useState<ReadonlyMap<string, NextAction[]>>(new Map())
  const known = useRef(nexts)
  known.current = nexts
  useEffect(() => {
    let current = true
    const work = async () => {
      const { askJudge } = await import('@/workers/client')
      let fresh: [string, NextAction[]][] = []
      const put = () => {
        const taken = fresh
        fresh = []
        if (current && taken.length > 0) setNexts(before => new Map([...before, ...taken]))
      }
      for (const row of rows) {
        if (!current) return
        if (known.current.has(keyOf(row))) continue
        const standings = await askJudge(judge => judge.standings(row.job))
        fresh.push([keyOf(row), standings.flatMap(({ next }) => next ?? [])])
        // The table is drawn anew for some at a time.
        if (fresh.length === 10) put()
      }
      put()
    }
    work().catch(error => current && onProblem(describeProblem(error)))
    return () => {
      current = false
    }
  }, [rows, onProblem])
  return nexts
}
