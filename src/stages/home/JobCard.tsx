import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useCallback, useState } from 'react'
import type { Asked } from '@/core/acceptance/asked'
import { fileName } from '@/core/formats/fileName'
import { momentWords } from '@/core/units/dateWords'
import { getDatabase, type JobRow } from '@/store/database'
import { errorWords } from '@/store/errorWords'
import { exportJob } from '@/store/exportJob'
import { describeProblem, type Problem } from '@/store/problem'
import { Button, LinkButton } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { addressAsKnown } from '../job/address'
import { download } from '../job/download'
import { useAnswer } from '../job/useRun'
import { jobsLater } from './jobsLater'

const DuplicateDialog = dynamic(() => import('./DuplicateDialog').then(module => module.DuplicateDialog), {
  ssr: false,
})

const RenameForm = dynamic(() => import('./RenameForm').then(module => module.RenameForm), { ssr: false })

/** One job of the list: what it is, what it needs next, and what can be done with it. */
export function JobCard({ row, onProblem }: { row: JobRow; onProblem: (problem: Problem) => void }) {
  const { job } = row
  const [renaming, setRenaming] = useState(false)
  const [duplicating, setDuplicating] = useState(false)
  const { next, asked } = useNext(job, onProblem)
  const attempt = (work: (db: ReturnType<typeof getDatabase>) => Promise<unknown>) =>
    work(getDatabase()).catch(error => onProblem(describeProblem(error)))
  const address = addressAsKnown({ jobId: job.id, axisId: job.axes[0]?.id ?? null, stage: 'survey' })
  return (
    <chakra.li bg="panel" borderWidth="1px" borderRadius="8px" p="4" data-job={job.id}>
      {duplicating && (
        <DuplicateDialog
          name={job.name}
          onClose={() => setDuplicating(false)}
          onCopy={take => {
            setDuplicating(false)
            attempt(async db => (await jobsLater()).duplicateJob(db, job.id, take))
          }}
        />
      )}
      <chakra.div display="flex" flexWrap="wrap" justifyContent="space-between" gap="3">
        <chakra.div minW="0" flex="1 1 320px">
          {renaming ? (
            <RenameForm
              name={job.name}
              onDone={name => {
                setRenaming(false)
                if (name) attempt(async db => (await jobsLater()).renameStored(db, job.id, name))
              }}
            />
          ) : (
            <chakra.h2 fontSize="20px" fontWeight={700} overflowWrap="anywhere">
              <chakra.a href={address} color="ink" textDecorationColor="lamp" textUnderlineOffset="4px">
                {job.name}
              </chakra.a>
            </chakra.h2>
          )}
          <Note>
            {job.machineKind}, axes {job.axes.map(axis => axis.name).join(', ')}; saved{' '}
            {momentWords(row.savedAt)}
          </Note>
          <AskedList job={job} asked={asked} />
          <Stated as="h3" fontWeight={700} mt="2">
            {next === null
              ? 'What is next is being worked out …'
              : next.length > 0
                ? 'Needs next'
                : 'Nothing left to do'}
          </Stated>
          <chakra.ul fontSize="15px">
            {next?.map(action => (
              <li key={action.axisId}>
                <chakra.a
                  href={addressAsKnown({
                    jobId: job.id,
                    axisId: action.axisId,
                    stage: action.stage,
                    sheet: action.sheet,
                  })}
                  display="inline-flex"
                  alignItems="center"
                  minH={{ base: '44px', xl: '28px' }}
                >
                  {action.text}
                </chakra.a>
              </li>
            ))}
          </chakra.ul>
        </chakra.div>
        <chakra.div
          display="flex"
          flexWrap="wrap"
          gap="1"
          alignContent="flex-start"
          maxW="340px"
          justifyContent="flex-end"
        >
          <LinkButton href={address} variant="lamp" aria-label={`Open ${job.name}`}>
            Open
          </LinkButton>
          <Button variant="quiet" aria-label={`Rename ${job.name}`} onClick={() => setRenaming(true)}>
            Rename
          </Button>
          <Button variant="quiet" aria-label={`Duplicate ${job.name}`} onClick={() => setDuplicating(true)}>
            Duplicate
          </Button>
          <Button
            variant="quiet"
            aria-label={`Export ${job.name}`}
            onClick={() =>
              attempt(async db =>
                download(fileName(job.name, 'json'), await exportJob(db, job.id), 'application/json'),
              )
            }
          >
            Export
          </Button>
          <Button
            variant="quiet"
            aria-label={`${job.archived ? 'Take out' : 'Put away'} ${job.name}`}
            onClick={() => attempt(async db => (await jobsLater()).archiveStored(db, job.id, !job.archived))}
          >
            {job.archived ? 'Take out' : 'Put away'}
          </Button>
          <Button
            variant="danger"
            aria-label={`Delete ${job.name}`}
            onClick={() => attempt(async db => (await jobsLater()).deleteJob(db, job.id))}
          >
            Delete
          </Button>
        </chakra.div>
      </chakra.div>
    </chakra.li>
  )
}

/** What the machine asks for today and within a week: fixes for the time being, upkeep, proofs. */
function AskedList({ job, asked }: { job: JobRow['job']; asked: readonly Asked[] }) {
  if (asked.length === 0) return null
  return (
    <chakra.ul fontSize="15px" mt="2" aria-label={`What ${job.name} asks for`}>
      {asked.map(({ due, words, when }) => (
        <li key={due.key} data-asked={when}>
          <chakra.a
            href={addressAsKnown({
              jobId: job.id,
              axisId: due.axisId ?? job.axes[0]?.id ?? null,
              stage: due.stage,
              sheet: due.sheet,
            })}
            display="inline-flex"
            alignItems="center"
            minH={{ base: '44px', xl: '28px' }}
            overflowWrap="anywhere"
            color={ASKED_COLOR[when]}
            fontWeight={when === 'soon' ? undefined : 700}
          >
            {words}
          </chakra.a>
        </li>
      ))}
    </chakra.ul>
  )
}
/** Nothing is said of it until it is worked out. */
const UNKNOWN = { next: null, asked: [] }
const ASKED_COLOR = { safety: 'fails', now: 'close', soon: undefined } as const

/** What each axis of a job needs next, worked out beside the screen, null until it is; and what the machine asks for. */
function useNext(job: JobRow['job'], onProblem: (problem: Problem) => void) {
  const ask = useCallback(async () => {
    try {
      const { askJudge } = await import('@/workers/client')
      const [standings, asked] = await Promise.all([
        askJudge(judge => judge.standings(job)),
        askJudge(judge => judge.asked(job)),
      ])
      return { next: standings.flatMap(({ next }) => next ?? []), asked }
    } catch (error) {
      const advice = errorWords(error)
      onProblem({ title: `What ${job.name} needs next was not worked out`, advice })
      return null
    }
  }, [job, onProblem])
  return useAnswer(ask, job.id) ?? UNKNOWN
}
