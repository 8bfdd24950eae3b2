import { linesOfAxis, openFixes } from '@/core/document/logLines'
import { LinkButton } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { useJob } from '../../job/JobContext'
import { addressOf } from '../../job/place'
import { useAxis } from '../../job/useAxis'
import { WithLog } from '../../job/WithLog'
import { NoteForm } from '../../log/NoteForm'
import { Fixes } from './Fixes'
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
