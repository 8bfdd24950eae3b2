import { chakra } from '@chakra-ui/react'
import type { LogEntry } from '@/core/document/job'
import { mendFix } from '@/core/document/logEdits'
import { linesOfAxis, openFixes } from '@/core/document/logLines'
import { momentWords } from '@/core/units/dateWords'
import { Button, LinkButton } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob } from '../../job/JobContext'
import { addressOf } from '../../job/place'
import { useAxis } from '../../job/useAxis'
import { WithLog } from '../../job/WithLog'
import { NoteForm } from '../../log/NoteForm'
import { Lines } from './Lines'

/** What happened, and what is still open. */
export function LogPanel() {
  const axisId = useAxis(axis => axis.id)
  const axisName = useAxis(axis => axis.name)
  const jobId = useJob(job => job.id)
  return (
    <>
      <Panel
        title="Note something"
        action={
          <LinkButton href={addressOf({ jobId, axisId, stage: 'record' })} variant="lamp">
            Record of axis {axisName}, to print
          </LinkButton>
        }
      >
        <NoteForm axisId={axisId} />
      </Panel>
      <WithLog>
        {entries => (
          <>
            <Fixes fixes={openFixes(linesOfAxis(entries, axisId))} />
            <Lines entries={entries} />
          </>
        )}
      </WithLog>
    </>
  )
}

/** What holds for the time being. */
function Fixes({ fixes }: { fixes: readonly LogEntry[] }) {
  const edit = useEdit()
  return (
    <Panel
      title={`Temporary fixes still open: ${fixes.length}`}
      note="Foil, printed strips, a nut the wrong way round: noted here until the proper part is in."
    >
      {fixes.length > 0 && (
        <chakra.ul display="grid">
          {fixes.map(fix => (
            <Stated
              as="li"
              key={fix.id}
              display="grid"
              gridTemplateColumns={{ base: '1fr auto', md: '175px 1fr auto' }}
              columnGap="3"
              borderTopWidth="1px"
              py="1.5"
              alignItems="center"
            >
              <chakra.span color="quiet" fontFamily="mono" fontSize="13px">
                {momentWords(fix.at)}
              </chakra.span>
              <chakra.span gridColumn={{ base: '1 / 2', md: 'auto' }} overflowWrap="anywhere">
                {fix.text}
              </chakra.span>
              <Button aria-label={`Mended: ${fix.text}`} onClick={() => edit(mendFix(fix))}>
                Mended
              </Button>
            </Stated>
          ))}
        </chakra.ul>
      )}
    </Panel>
  )
}
