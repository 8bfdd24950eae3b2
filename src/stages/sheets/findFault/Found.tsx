import { chakra } from '@chakra-ui/react'
import type { Diagnosis } from '@/core/diagnose/diagnosis'
import { closeSearch } from '@/core/sheets/findFault/edits'
import { REDO_OF_FAULT } from '@/core/sheets/findFault/redo'
import { FAULT_WORDS } from '@/core/sheets/findFault/words'
import { percent } from '@/core/units/percent'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { RedoButton } from '../../job/build/RedoButton'
import { useEdit, useJob, useJobContext } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxisNow } from '../../job/useAxis'

/** Where the search stands, and once a fault is as good as found, what is done about it. */
export function Found({
  found: { found, clearing, contradictory, next, nothingShows, soundProbability, suspects },
}: {
  found: Diagnosis
}) {
  const jobId = useJob(job => job.id)
  const { axisId } = useJobContext()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const close = (mended: typeof found) => edit(closeSearch(axisNow(), mended, new Date().toISOString()))
  // Without a check left that tells anything, the likeliest is what is looked at first; where nothing shows, nothing is.
  const likeliest = found ?? (next.length === 0 && !nothingShows ? (suspects[0]?.faultId ?? null) : null)
  const words = likeliest && FAULT_WORDS[likeliest]
  const redo = likeliest && REDO_OF_FAULT[likeliest]
  return (
    <Panel
      title="Find the fault"
      action={
        <Button variant="quiet" onClick={() => close(null)}>
          Give up the search
        </Button>
      }
    >
      {nothingShows ? (
        <chakra.div data-nothing-shows>
          <p>
            <strong>Nothing that was checked shows a fault</strong> ({percent(soundProbability)}). Nothing is
            to be loosened by this. If it is still wrong at work, note when it is: warm or cold, at which end,
            at which feed, under which cut. Then read the sheet that asks for just that.
          </p>
          <Button variant="lamp" mt="2" onClick={() => close(null)}>
            Close the search: nothing was wrong
          </Button>
        </chakra.div>
      ) : words ? (
        <chakra.div data-found={likeliest}>
          <p>
            <strong>
              {found ? 'As good as found: ' : 'No check is left that tells more. Likeliest: '}
              {words.name}
            </strong>{' '}
            ({percent(suspects[0]?.probability ?? 0)}). {words.mend}
          </p>
          <chakra.div display="flex" gap="2" flexWrap="wrap" mt="2">
            <PlaceButton
              variant="outline"
              place={{ jobId, axisId, stage: words.at.stage, sheet: words.at.sheet }}
            >
              Where it is mended
            </PlaceButton>
            {redo && <RedoButton what={redo} />}
            <Button variant="lamp" onClick={() => close(likeliest)}>
              It is mended
            </Button>
          </chakra.div>
        </chakra.div>
      ) : (
        <p data-clearing={clearing ?? undefined}>
          {clearing && suspects[0]
            ? `Nearly found: ${FAULT_WORDS[suspects[0].faultId].name.toLowerCase()} (${percent(suspects[0].probability)}). One check can still clear it, and comes before anything is slackened.`
            : 'Not found yet: the next check tells most for its minutes.'}
        </p>
      )}
      {contradictory && (
        <chakra.p mt="2" color="close" fontWeight={700} data-contradictory>
          What was observed hardly goes with any one fault: two are at work, or one answer is wrong. Look at
          what speaks against the likeliest, and make that check again.
        </chakra.p>
      )}
    </Panel>
  )
}
