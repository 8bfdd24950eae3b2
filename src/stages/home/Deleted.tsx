import { chakra } from '@chakra-ui/react'
import { getDatabase, type JobRow } from '@/store/database'
import { daysBinned, isBinnedLong, KEPT_DAYS, keepOn } from '@/store/keeping'
import { Button } from '@/ui/controls'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { jobsLater } from './jobsLater'

interface Props {
  rows: readonly JobRow[]
  attempt: (work: () => Promise<unknown>) => void
  /** Jobs that are to go for good, as soon as that is said once more. */
  onGoing: (rows: readonly JobRow[]) => void
}

/** What was deleted, to put back or to let go. Nothing goes by itself. */
export function Deleted({ rows, attempt, onGoing }: Props) {
  const long = rows.filter(isBinnedLong)
  const isOne = long.length === 1
  return (
    <Panel title="Deleted" note="Each is kept until it is deleted for good.">
      {long.length > 0 && (
        <chakra.div mb="3" data-binned-long>
          <Note>
            {isOne ? 'One of them has' : `${long.length} of them have`} been here for {KEPT_DAYS} days of use:
            is {isOne ? 'it' : 'that'} still wanted?
          </Note>
          <chakra.div display="flex" flexWrap="wrap" gap="2" mt="1">
            <Button
              onClick={() =>
                attempt(() =>
                  keepOn(
                    getDatabase(),
                    long.map(({ id }) => id),
                  ),
                )
              }
            >
              Keep {isOne ? 'it' : 'them'}
            </Button>
            <Button variant="danger" onClick={() => onGoing(long)}>
              Delete {isOne ? 'that one' : `these ${long.length}`} for good
            </Button>
          </chakra.div>
        </chakra.div>
      )}
      <chakra.ul display="grid" gap="1">
        {rows.map(row => (
          <chakra.li key={row.id} display="flex" flexWrap="wrap" gap="2" alignItems="center">
            <chakra.span flex="1 1 200px" overflowWrap="anywhere">
              {row.job.name}
              <chakra.span color="quiet">, {daysWords(daysBinned(row))}</chakra.span>
            </chakra.span>
            <Button
              aria-label={`Put back ${row.job.name}`}
              onClick={() => attempt(async () => (await jobsLater()).putBack(getDatabase(), row.id))}
            >
              Put back
            </Button>
            <Button
              variant="danger"
              aria-label={`Delete ${row.job.name} for good`}
              onClick={() => onGoing([row])}
            >
              Delete for good
            </Button>
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

const daysWords = (days: number) =>
  days === 0 ? 'deleted lately' : `deleted ${days === 1 ? 'a day' : `${days} days`} of use ago`
