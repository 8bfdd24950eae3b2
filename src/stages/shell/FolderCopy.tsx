import { useEffect, useRef, useState } from 'react'
import { settleAll } from '@/store/atRest'
import { getDatabase } from '@/store/database'
import { errorWords } from '@/store/errorWords'
import { type CopyFolder, copyFolder, copyInto, leaveFolder, mayWrite } from '@/store/folder'
import type { JobSession } from '@/store/session'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { useSessionState } from '../job/JobContext'

/** A copy follows when nothing was saved for this long, and at once when the job is left. */
const RESTS_MS = 5000

interface Trouble {
  folder: CopyFolder
  why: string
}

/** Keeps the copy of the open job in the builder's folder up with it, and tells when that does not come about. */
export function FolderCopy({ session, jobId }: { session: JobSession; jobId: string }) {
  const savedAt = useSessionState(session, state => state.savedAt)
  const [trouble, setTrouble] = useState<Trouble | null>(null)
  const due = useRef(false)

  const copy = async (folder: CopyFolder) => {
    try {
      if (!(await mayWrite(folder)))
        return setTrouble({ folder, why: 'The browser asks for your word again.' })
      await copyInto(folder, getDatabase(), jobId)
      setTrouble(null)
    } catch (error) {
      setTrouble({ folder, why: errorWords(error) })
    }
  }

  const copyDue = async () => {
    if (!due.current && !session.getState().saving) return
    due.current = false
    // What was typed last goes along.
    await settleAll()
    const folder = await copyFolder(getDatabase()).catch(() => null)
    if (folder) await copy(folder)
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: after every saving, and only then
  useEffect(() => {
    due.current = true
    const timer = setTimeout(() => void copyDue(), RESTS_MS)
    return () => clearTimeout(timer)
  }, [savedAt])
  // biome-ignore lint/correctness/useExhaustiveDependencies: whoever leaves the page does not wait for that
  useEffect(() => {
    const onHide = () => document.visibilityState === 'hidden' && void copyDue()
    document.addEventListener('visibilitychange', onHide)
    return () => {
      document.removeEventListener('visibilitychange', onHide)
      void copyDue()
    }
  }, [])

  if (!trouble) return null
  const again = async () => {
    await trouble.folder.requestPermission?.({ mode: 'readwrite' })
    await copy(trouble.folder)
  }
  return (
    <Notice
      title={`No copy was made in the folder “${trouble.folder.name}”`}
      actions={
        <>
          <Button onClick={() => void again()}>Copy again</Button>
          <Button
            variant="quiet"
            onClick={() => void leaveFolder(getDatabase()).then(() => setTrouble(null))}
          >
            No more copies
          </Button>
        </>
      }
    >
      {trouble.why} The job itself is saved in this browser.
    </Notice>
  )
}
