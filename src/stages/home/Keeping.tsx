import { chakra } from '@chakra-ui/react'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useState } from 'react'
import { dayWords } from '@/core/units/dateWords'
import { printFixed } from '@/core/units/print'
import { getDatabase } from '@/store/database'
import { canCopy, chooseFolder, copyFolder, copyInto, leaveFolder } from '@/store/folder'
import {
  askToKeep,
  backUp,
  backupName,
  lastBackup,
  type Room,
  roomLeft,
  unbackedSince,
} from '@/store/keeping'
import { type OpensAlone, watchOpensAlone } from '@/store/renewal'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Panel } from '@/ui/Panel'
import { download } from '../job/download'

const MEGABYTE = 1024 * 1024
const GIGABYTE = 1024 * MEGABYTE
const few = (count: number) => printFixed(count, count < 10 ? 1 : 0)
const size = (bytes: number) =>
  bytes < MEGABYTE / 10
    ? 'Less than 0.1 MB'
    : bytes < GIGABYTE
      ? `${few(bytes / MEGABYTE)} MB`
      : `${few(bytes / GIGABYTE)} GB`

/** All jobs as one file, handed to the builder. */
async function saveBackup() {
  const now = new Date()
  const text = await backUp(getDatabase(), now)
  download(backupName(now), text, 'application/json')
}

interface Props {
  /** Runs work that may fail, and tells where it does. */
  attempt: (work: () => Promise<unknown>) => void
}

/** A word when nothing of the last week's work is anywhere but in this browser. */
export function BackupReminder({ attempt }: Props) {
  const since = useLiveQuery(() => unbackedSince(getDatabase(), new Date()).catch(() => null), [])
  if (!since) return null
  return (
    <Notice
      title="Make a backup"
      actions={
        <Button variant="lamp" onClick={() => attempt(saveBackup)}>
          Back up all jobs
        </Button>
      }
    >
      Since {dayWords(since)} nothing of your work was saved anywhere but in this browser. A browser that is
      cleared, or a disk that breaks, takes it along.
    </Notice>
  )
}

const ALONE: Record<OpensAlone, string> = {
  yes: 'The app is kept as well: it opens and works with its server gone, and can be installed from the browser’s menu.',
  'not yet': 'The app itself is not kept yet: it needs its server to open.',
  never:
    'Over this connection the browser does not keep the app: it needs its server to open. On the machine of the server, or over https, it would.',
}

/** Where the jobs are kept, how much room there is, and what keeps a copy elsewhere. */
export function Keeping({ attempt }: Props) {
  const [room, setRoom] = useState<Room | null>(null)
  const made = useLiveQuery(() => lastBackup(getDatabase()).catch(() => null), [])
  const folder = useLiveQuery(() => copyFolder(getDatabase()).catch(() => null), [])
  const [picker, setPicker] = useState(false)
  const [alone, setAlone] = useState<OpensAlone | null>(null)
  useEffect(() => {
    setPicker(canCopy())
    void roomLeft().then(setRoom)
    watchOpensAlone(setAlone)
  }, [])
  const keep = async () => {
    await askToKeep()
    setRoom(await roomLeft())
  }
  const choose = async () => {
    const db = getDatabase()
    const chosen = await chooseFolder(db).catch(error => {
      // Closing the dialog is an answer.
      if ((error as Error).name === 'AbortError') return null
      throw error
    })
    if (!chosen) return
    for (const id of await db.jobs.toCollection().primaryKeys()) await copyInto(chosen, db, id)
  }
  return (
    <Panel
      title="Where your jobs are kept"
      note="In this browser, on this machine. Nothing is sent anywhere."
    >
      <chakra.ul display="grid" gap="2" fontSize="15px">
        <Line
          action={
            <Button onClick={() => attempt(saveBackup)} variant="outline">
              Back up all jobs
            </Button>
          }
        >
          {made ? `Last backup on ${dayWords(made)}.` : 'No backup yet.'} One file with every job and what was
          practised; “Import a job file” puts it back.
        </Line>
        {room && (
          <Line
            action={
              !room.kept && (
                <Button onClick={() => attempt(keep)} variant="outline">
                  Ask the browser to keep them
                </Button>
              )
            }
          >
            {size(room.usedBytes)} used, {size(room.givenBytes - room.usedBytes)} left.{' '}
            {room.kept
              ? 'The browser keeps them, also when the disk runs full.'
              : 'The browser may clear them when the disk runs full.'}
          </Line>
        )}
        {alone && <Line>{ALONE[alone]}</Line>}
        {picker && folder !== undefined && (
          <Line
            action={
              folder ? (
                <Button onClick={() => attempt(() => leaveFolder(getDatabase()))} variant="outline">
                  No more copies
                </Button>
              ) : (
                <Button onClick={() => attempt(choose)} variant="outline">
                  Choose a folder
                </Button>
              )
            }
          >
            {folder
              ? `A copy of each job goes into the folder “${folder.name}” while it is worked on.`
              : 'A copy of each job can be kept in a folder of yours while it is worked on.'}
          </Line>
        )}
      </chakra.ul>
    </Panel>
  )
}

function Line({ children, action }: { children: React.ReactNode; action?: React.ReactNode }) {
  return (
    <chakra.li display="flex" flexWrap="wrap" gap="2" alignItems="center">
      <chakra.span flex="1 1 280px">{children}</chakra.span>
      {action}
    </chakra.li>
  )
}
