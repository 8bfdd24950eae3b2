import { chakra } from '@chakra-ui/react'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { paperOf } from '@/core/sheets/paper'
import { useJob } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { Block, PaperBlocks, PaperScreen, Td } from './paper'

/** Everything that was set by readings on an axis: what holds, and every round with what was read and done. */
export function AlignmentScreen({ onBack }: { onBack: () => void }) {
  const context = useEvaluation()
  const name = useJob(job => job.name)
  const findings = context.findings.filter(({ stage }) => stage === 'align')
  return (
    <PaperScreen
      title={`Alignment record: ${name}, axis ${context.axis.name}`}
      backLabel="Back to Align"
      printLabel="Print the alignment record"
      onBack={onBack}
    >
      <Block title="As it stands">
        {findings.length === 0 ? (
          <p>Nothing is read yet.</p>
        ) : (
          <table>
            <tbody>
              {findings.map(({ checkId, title, state, sentence }) => (
                <tr key={checkId}>
                  <Td width="22%">
                    <strong>{title}</strong>
                  </Td>
                  <Td width="12%">{STATE_WORDS[state]}</Td>
                  <Td>{sentence}</Td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Block>
      <PaperBlocks blocks={paperOf(context, 'align')} />
      <chakra.p mt="2" fontSize="11px">
        Readings are as good as the gauge and the hand that took them. Keep hands out of slides that can move
        or drop while you read.
      </chakra.p>
    </PaperScreen>
  )
}
