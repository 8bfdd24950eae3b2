import { chakra } from '@chakra-ui/react'
import { RECORD_CAUTION, recordOf, recordTitle } from '@/core/sheets/record'
import { useJob, whole } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { WithLog } from '../job/WithLog'
import { PaperBlocks, PaperScreen } from './paper'

/** The record of an axis on paper: what it is, what was found, what was read, what is still open. */
export function RecordScreen({ onBack }: { onBack: () => void }) {
  const context = useEvaluation()
  const job = useJob(whole)
  return (
    <WithLog>
      {entries => (
        <PaperScreen
          title={recordTitle(job, context)}
          backLabel="Back to the log"
          printLabel="Print the record"
          onBack={onBack}
        >
          <PaperBlocks blocks={recordOf(context, entries, job)} />
          <chakra.p mt="2" fontSize="11px">
            {RECORD_CAUTION}
          </chakra.p>
        </PaperScreen>
      )}
    </WithLog>
  )
}
