import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { Backup } from '@/core/formats/writeJobFile'
import { getDatabase } from '@/store/database'
import { type RestoreMode, restoreJobs, standingHere } from '@/store/jobs'
import { describeProblem } from '@/store/problem'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'
import { startRead } from '@/workers/client'

interface Read extends Backup {
  /** The names of jobs that stand here already under the same ids. */
  standing: string[]
}

interface Props {
  file: File
  onClose: () => void
  /** Told the jobs that came in. */
  onImported: (jobIds: string[]) => void
}

/** Reads a job file or a backup, tells what is in it, and puts it in only when all of it is fine. */
export function ImportDialog({ file, onClose, onImported }: Props) {
  const [read, setRead] = useState<Read | null>(null)
  const [share, setShare] = useState(0)
  const [failure, setFailure] = useState<string | null>(null)

  useEffect(() => {
    let current = true
    const reading = startRead(file, setShare)
    reading.done
      .then(async backup => ({ ...backup, standing: await standingHere(getDatabase(), backup.jobs) }))
      .then(
        next => current && setRead(next),
        error => current && setFailure(messageOf(error)),
      )
    return () => {
      current = false
      reading.cancel()
    }
  }, [file])

  const put = async (mode: RestoreMode) => {
    if (!read) return
    try {
      onImported(await restoreJobs(getDatabase(), read, mode))
    } catch (error) {
      setFailure(describeProblem(error).title)
    }
  }
  return (
    <Modal
      title={`Import ${file.name}`}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={read && !failure ? <Ways read={read} onPut={put} /> : undefined}
    >
      {failure && (
        <Notice title="Nothing was imported, and nothing was changed.">
          <chakra.span overflowWrap="anywhere">{failure}</chakra.span>
        </Notice>
      )}
      {!failure && !read && (
        <chakra.label display="block">
          Reading and checking…
          <chakra.progress display="block" width="100%" max={1} value={share} />
        </chakra.label>
      )}
      {!failure && read && <Content read={read} />}
    </Modal>
  )
}

function Ways({
  read: { jobs: files, standing },
  onPut,
}: {
  read: Read
  onPut: (mode: RestoreMode) => void
}) {
  const many = files.length > 1
  if (standing.length === 0)
    return (
      <Button variant="lamp" onClick={() => onPut('both')}>
        {many ? `Import all ${files.length}` : 'Import it'}
      </Button>
    )
  return (
    <>
      {many && standing.length < files.length && (
        <Button variant="lamp" onClick={() => onPut('missing')}>
          Only those that are not here
        </Button>
      )}
      <Button onClick={() => onPut('replace')}>{many ? 'Replace those here' : 'Replace the one here'}</Button>
      <Button variant={many ? undefined : 'lamp'} onClick={() => onPut('both')}>
        Keep both
      </Button>
    </>
  )
}

function Content({ read: { jobs: files, practisers, standing } }: { read: Read }) {
  const here = standing.map(name => `“${name}”`).join(', ')
  return (
    <>
      <chakra.ul display="grid" gap="1" maxH="240px" overflowY="auto">
        {files.map(({ job, entries, history }) => (
          <li key={job.id}>
            <strong>{job.name}</strong>: axes {job.axes.map(axis => axis.name).join(', ')}; {entries.length}{' '}
            log entries; {history.length} changes that can be undone.
          </li>
        ))}
      </chakra.ul>
      {practisers.length > 0 && (
        <chakra.p mt="2">
          What {practisers.map(({ name }) => name).join(', ')} practised comes along, joined to what is here.
        </chakra.p>
      )}
      {standing.length > 0 && (
        <chakra.p mt="2">
          {standing.length === 1 ? `Here already, as ${here}.` : `Here already: ${here}.`} What is replaced
          goes to the deleted ones, from where it can be put back.
        </chakra.p>
      )}
    </>
  )
}

const messageOf = (error: unknown) =>
  error instanceof Error && error.name === 'JobFileError' ? error.message : describeProblem(error).title
