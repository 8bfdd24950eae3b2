import { chakra } from '@chakra-ui/react'
import { Trash2 } from 'lucide-react'
import type { ReactNode } from 'react'
import type { LogEntry } from '@/core/document/job'
import { deleteEntry, mendFix } from '@/core/document/logEdits'
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

const KIND_WORDS: Record<LogEntry['kind'], string> = {
  note: 'note',
  part: 'part',
  step: 'step',
  round: 'alignment',
  test: 'test',
  fix: 'temporary fix',
  mended: 'fix mended',
  job: 'job',
}

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
      <WithLog>{entries => <Lines own={linesOfAxis(entries, axisId)} />}</WithLog>
    </>
  )
}

function Lines({ own }: { own: LogEntry[] }) {
  const edit = useEdit()
  const fixes = openFixes(own)
  return (
    <>
      <Panel
        title={`Temporary fixes still open: ${fixes.length}`}
        note="Foil, printed strips, a nut the wrong way round: noted here until the proper part is in."
      >
        {fixes.length > 0 && (
          <Entries
            entries={fixes}
            action={fix => (
              <Button aria-label={`Mended: ${fix.text}`} onClick={() => edit(mendFix(fix))}>
                Mended
              </Button>
            )}
          />
        )}
      </Panel>
      <Panel title="What happened">
        {own.length === 0 ? (
          <chakra.p color="quiet">
            Nothing yet. Parts chosen, steps ticked, rounds and tests enter themselves here.
          </chakra.p>
        ) : (
          <Entries
            entries={own.toReversed()}
            action={entry =>
              (entry.kind === 'note' || entry.kind === 'fix') && (
                <Button
                  variant="quiet"
                  px="2"
                  aria-label={`Delete: ${entry.text}`}
                  onClick={() => edit(deleteEntry(entry.id))}
                >
                  <Trash2 size={16} aria-hidden />
                </Button>
              )
            }
          />
        )}
      </Panel>
    </>
  )
}

function Entries({ entries, action }: { entries: LogEntry[]; action: (entry: LogEntry) => ReactNode }) {
  return (
    <chakra.ul display="grid">
      {entries.map(entry => (
        <Stated
          as="li"
          key={entry.id}
          display="grid"
          gridTemplateColumns={{ base: '1fr auto', md: '130px 100px 1fr auto' }}
          columnGap="3"
          borderTopWidth="1px"
          py="1.5"
          alignItems="center"
        >
          <chakra.span color="quiet" fontFamily="mono" fontSize="13px">
            {momentWords(entry.at)}
          </chakra.span>
          <chakra.span color="quiet">{KIND_WORDS[entry.kind]}</chakra.span>
          <chakra.span gridColumn={{ base: '1 / 2', md: 'auto' }} overflowWrap="anywhere">
            {entry.text}
          </chakra.span>
          <span>{action(entry)}</span>
        </Stated>
      ))}
    </chakra.ul>
  )
}
