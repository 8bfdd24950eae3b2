import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { JobFile } from '@/core/formats/writeJobFile'
import { getDatabase } from '@/store/database'
import { importJob, readFile, standingHere } from '@/store/jobs'
import { describeProblem } from '@/store/problem'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'

interface Read {
  file: JobFile
  /** The name of the job that stands here already under the same id. */
  standing: string | null
}

/** Reads a job file, tells what is in it, and puts it in only when all of it is fine. */
export function ImportDialog({
  file,
  onClose,
  onImported,
}: {
  file: File
  onClose: () => void
  onImported: (jobId: string) => void
}) {
  const [read, setRead] = useState<Read | null>(null)
  const [failure, setFailure] = useState<string | null>(null)

  useEffect(() => {
    let current = true
    readFile(file)
      .then(async parsed => ({
        file: parsed,
        standing: (await standingHere(getDatabase(), parsed))?.job.name ?? null,
      }))
      .then(
        next => current && setRead(next),
        error => current && setFailure(messageOf(error)),
      )
    return () => {
      current = false
    }
  }, [file])

  const put = async (mode: 'both' | 'replace') => {
    if (!read) return
    try {
      onImported(await importJob(getDatabase(), read.file, mode))
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
      actions={
        read && !failure ? (
          read.standing === null ? (
            <Button variant="lamp" onClick={() => put('both')}>
              Import it
            </Button>
          ) : (
            <>
              <Button onClick={() => put('replace')}>Replace the one here</Button>
              <Button variant="lamp" onClick={() => put('both')}>
                Keep both
              </Button>
            </>
          )
        ) : undefined
      }
    >
      {failure && (
        <Notice title="Nothing was imported, and nothing was changed.">
          <chakra.span overflowWrap="anywhere">{failure}</chakra.span>
        </Notice>
      )}
      {!failure && !read && <p>Reading and checking…</p>}
      {!failure && read && (
        <>
          <p>
            <strong>{read.file.job.name}</strong>: axes {read.file.job.axes.map(axis => axis.name).join(', ')}
            ; {read.file.entries.length} log entries; {read.file.history.length} changes that can be undone.
          </p>
          {read.standing !== null && (
            <chakra.p mt="2">
              This job is here already, as “{read.standing}”. The one replaced goes to the deleted ones, from
              where it can be put back.
            </chakra.p>
          )}
        </>
      )}
    </Modal>
  )
}

const messageOf = (error: unknown) =>
  error instanceof Error && error.name === 'JobFileError' ? error.message : describeProblem(error).title
