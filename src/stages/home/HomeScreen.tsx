'use client'
import { chakra } from '@chakra-ui/react'
import { Upload } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useRef, useState } from 'react'
import { DEMOS } from '@/core/demo/demos'
import { getDatabase, type JobRow } from '@/store/database'
import { useJobRows } from '@/store/hooks'
import { countDay, noteFirstUse } from '@/store/keeping'
import { usePractisers } from '@/store/practisers'
import { describeProblem, type Problem } from '@/store/problem'
import { Button, LinkButton } from '@/ui/controls'
import { DropAnywhere } from '@/ui/DropAnywhere'
import { FilePicker } from '@/ui/FilePicker'
import { Notice } from '@/ui/frame/Notice'
import { PageHead } from '@/ui/frame/PageHead'
import { Panel } from '@/ui/Panel'
import { Deleted } from './Deleted'
import { JobCard } from './JobCard'
import { jobsLater } from './jobsLater'
import { BackupReminder, Keeping } from './Keeping'
import { LeftBehind } from './LeftBehind'
import { OvertakenActions } from './OvertakenActions'
import { NEW_JOB, watchOpenedFile } from './opened'

const NewJobDialog = dynamic(() => import('./NewJobDialog').then(module => module.NewJobDialog), {
  ssr: false,
})
const ForGoodDialog = dynamic(() => import('./ForGoodDialog').then(module => module.ForGoodDialog), {
  ssr: false,
})
const JobsTable = dynamic(() => import('./JobsTable').then(module => module.JobsTable), { ssr: false })
const ImportDialog = dynamic(() => import('./ImportDialog').then(module => module.ImportDialog), {
  ssr: false,
})

/** The list of jobs, each with what it needs next. */
export function HomeScreen({ demo }: { demo: boolean }) {
  const stored = useJobRows()
  const hasPractised = (usePractisers() ?? []).length > 0
  const router = useRouter()
  const [creating, setCreating] = useState(false)
  const [file, setFile] = useState<File | null>(null)
  const [problem, setProblem] = useState<Problem | null>(null)
  const [going, setGoing] = useState<readonly JobRow[] | null>(null)

  useEffect(() => {
    const [db, now] = [getDatabase(), new Date()]
    Promise.all([countDay(db, now), noteFirstUse(db, now)]).catch(error => setProblem(describeProblem(error)))
  }, [])

  useEffect(() => {
    watchOpenedFile(setFile)
    if (new URLSearchParams(location.search).has(NEW_JOB)) setCreating(true)
  }, [])

  useEffect(() => {
    if (demo)
      jobsLater()
        .then(({ seedDemo }) => seedDemo(getDatabase()))
        .catch(error => setProblem(describeProblem(error)))
  }, [demo])

  const attempt = (work: () => Promise<unknown>) => work().catch(error => setProblem(describeProblem(error)))
  const open = (jobId: string) => router.push(`/job/${encodeURIComponent(jobId)}`)
  /** One job is opened; of many, the list shows them. */
  const came = (jobIds: string[]) => {
    setFile(null)
    if (jobIds.length === 1) open(jobIds[0] as string)
  }
  const drop = useCallback((dropped: File, ending: string) => {
    if (ending === 'csv') return `${dropped.name}: parts go into a job. Open the job, and drop it there.`
    if (ending !== 'json') return `${dropped.name}: takes a job file or a backup (.json).`
    setFile(dropped)
    return null
  }, [])
  const rows = stored?.rows ?? []
  const live = rows.filter(row => !row.deletedAt && !row.job.archived)
  const archived = rows.filter(row => !row.deletedAt && row.job.archived)
  const deleted = rows.filter(row => row.deletedAt)
  const trouble = problem ?? stored?.problem

  return (
    <chakra.div maxW="1080px" mx="auto" px="4" pb="10">
      <PageHead />
      <chakra.main display="grid" gap="4">
        <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end" justifyContent="space-between">
          <chakra.div>
            <chakra.h1 fontSize="26px" fontWeight={700}>
              Machines under conversion
            </chakra.h1>
            <chakra.p color="quiet">Each job is one machine. Everything stays in this browser.</chakra.p>
          </chakra.div>
          <chakra.div display="flex" flexWrap="wrap" gap="2">
            <Button variant="lamp" onClick={() => setCreating(true)}>
              New job
            </Button>
            <Button
              onClick={() => attempt(async () => open(await (await jobsLater()).openDemo(getDatabase())))}
            >
              Open a demo job
            </Button>
            {live.length > 0 && <LinkButton href="/week">This week</LinkButton>}
            <LinkButton href="/practice">Practise</LinkButton>
            <FilePicker label="Job file" accept=".json,application/json" onFile={setFile}>
              <Upload size={16} aria-hidden /> Import a job file
            </FilePicker>
          </chakra.div>
        </chakra.div>
        {trouble && (
          <Notice
            title={trouble.title}
            actions={
              trouble.isOvertaken ? (
                <OvertakenActions />
              ) : (
                <Button onClick={() => window.location.reload()}>Try again</Button>
              )
            }
          >
            {trouble.advice}
          </Notice>
        )}
        {stored && !stored.problem && rows.length > 0 && <BackupReminder attempt={attempt} />}
        {stored && !stored.problem && live.length === 0 && (
          <Panel title="No job yet">
            <chakra.p maxW="62ch">
              Start one for your machine: a mill, a lathe or a router gets its usual axes, with values to be
              measured. Or open the demo job and walk it from survey to printed record.
            </chakra.p>
            <chakra.p color="quiet" mt="3" mb="1">
              The demo is a yard shed with three machines:
            </chakra.p>
            <chakra.div display="flex" flexWrap="wrap" gap="2">
              {DEMOS.map(({ name }) => (
                <Button
                  key={name}
                  variant="outline"
                  aria-label={`Open the demo job ${name}`}
                  onClick={() =>
                    attempt(async () => open(await (await jobsLater()).openDemo(getDatabase(), name)))
                  }
                >
                  {name}
                </Button>
              ))}
            </chakra.div>
          </Panel>
        )}
        <Jobs rows={live} onProblem={setProblem} />
        {archived.length > 0 && (
          <chakra.section aria-label="Put away">
            <chakra.h2 fontSize="17px" fontWeight={700} mb="2">
              Put away
            </chakra.h2>
            <Jobs rows={archived} onProblem={setProblem} />
          </chakra.section>
        )}
        {stored && !stored.problem && <LeftBehind ids={[...rows.map(({ id }) => id), ...stored.hidden]} />}
        {deleted.length > 0 && <Deleted rows={deleted} attempt={attempt} onGoing={setGoing} />}
        {stored && !stored.problem && (rows.length > 0 || hasPractised) && <Keeping attempt={attempt} />}
      </chakra.main>
      <DropAnywhere takes="a job file or a backup" onFile={drop} />
      {going && (
        <ForGoodDialog
          names={going.map(({ job }) => job.name)}
          onClose={() => setGoing(null)}
          onDelete={() => {
            setGoing(null)
            attempt(async () => {
              const { deleteForGood } = await jobsLater()
              for (const { id } of going) await deleteForGood(getDatabase(), id)
            })
          }}
        />
      )}
      {creating && <NewJobDialog onClose={() => setCreating(false)} onCreated={open} />}
      {file && <ImportDialog file={file} onClose={() => setFile(null)} onImported={came} />}
    </chakra.div>
  )
}

/** From so many jobs on they stand one a line, and can be looked through. */
const MANY = 12

function Jobs({ rows, onProblem }: { rows: JobRow[]; onProblem: (problem: Problem) => void }) {
  return rows.length < MANY ? (
    <JobCards rows={rows} onProblem={onProblem} />
  ) : (
    <JobsTable rows={rows} onProblem={onProblem} />
  )
}

/** So many jobs are laid out at once: a screen or two. The rest come as one scrolls down to them. */
const AT_ONCE = 6

function JobCards({ rows, onProblem }: { rows: JobRow[]; onProblem: (problem: Problem) => void }) {
  const [count, setCount] = useState(AT_ONCE)
  const more = () => setCount(before => before + AT_ONCE)
  const left = rows.length - count
  return (
    <>
      <chakra.ul display="grid" gap="3">
        {rows.slice(0, count).map(row => (
          <JobCard key={row.id} row={row} onProblem={onProblem} />
        ))}
      </chakra.ul>
      {left > 0 && <More key={count} left={left} onMore={more} />}
    </>
  )
}

/** Shows more jobs by itself when it comes into sight, and when it is pressed. */
function More({ left, onMore }: { left: number; onMore: () => void }) {
  const button = useRef<HTMLButtonElement>(null)
  const latest = useRef(onMore)
  latest.current = onMore
  useEffect(() => {
    const observer = new IntersectionObserver(([seen]) => seen?.isIntersecting && latest.current())
    if (button.current) observer.observe(button.current)
    return () => observer.disconnect()
  }, [])
  return (
    <Button ref={button} variant="quiet" onClick={onMore}>
      Show more: {left} {left === 1 ? 'job is' : 'jobs are'} further down
    </Button>
  )
}
