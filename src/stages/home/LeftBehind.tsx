import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { momentWords } from '@/core/units/dateWords'
import { dropLeftover, type Leftover, leftovers } from '@/store/journal'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { download } from '../job/download'

/** What a closed tab had not saved of jobs that are not here any more: a file to keep, or to throw away. */
export function LeftBehind({ ids }: { ids: readonly string[] }) {
  const [found, setFound] = useState<Leftover[]>([])
  useEffect(() => {
    void leftovers().then(setFound)
  }, [])
  // What has a job, also a deleted one, comes into it when that is opened.
  const here = new Set(ids)
  const left = found.filter(({ jobId }) => !here.has(jobId))
  if (left.length === 0) return null
  const drop = (key: string) => {
    dropLeftover(key)
    setFound(before => before.filter(one => one.key !== key))
  }
  return (
    <Panel
      title="Typed, but never saved"
      note="A tab was closed before it could save this, and its job is not in this browser any more."
    >
      <chakra.ul display="grid" gap="1">
        {left.map(({ key, jobId, pending }) => {
          const last = pending.at(-1)?.change
          return (
            <chakra.li key={key} display="flex" flexWrap="wrap" gap="2" alignItems="center">
              <chakra.span flex="1 1 240px" overflowWrap="anywhere">
                {pending.length === 1 ? '1 change' : `${pending.length} changes`}, the last on{' '}
                {last && momentWords(last.at)}: {last?.label}
              </chakra.span>
              <Button
                onClick={() =>
                  download(
                    `never-saved-${jobId}.json`,
                    JSON.stringify({ format: 'dusk-bench-never-saved', jobId, changes: pending }, null, 2),
                    'application/json',
                  )
                }
              >
                Save as a file
              </Button>
              <Button variant="danger" onClick={() => drop(key)}>
                Throw away
              </Button>
            </chakra.li>
          )
        })}
      </chakra.ul>
    </Panel>
  )
}
