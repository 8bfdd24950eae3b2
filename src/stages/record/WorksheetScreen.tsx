import { chakra } from '@chakra-ui/react'
import { orderList } from '@/core/orders/orders'
import { paperOf } from '@/core/sheets/paper'
import { useJob, whole } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { Block, PaperBlocks, PaperScreen, Td } from './paper'

/** What a builder takes to the machine: cuts in order, the ends of the screw, screws, and what is still to come. */
export function WorksheetScreen({ onBack }: { onBack: () => void }) {
  const context = useEvaluation()
  const { axis, catalogue } = context
  const job = useJob(whole)
  const orders = orderList(job, catalogue).filter(
    ({ axes, state }) => state !== 'arrived' && (axes.length === 0 || axes.includes(axis.name)),
  )
  return (
    <PaperScreen
      title={`Work sheet: ${job.name}, axis ${axis.name}`}
      backLabel="Back to making room"
      printLabel="Print the work sheet"
      onBack={onBack}
    >
      <PaperBlocks blocks={paperOf(context, 'worksheet')} />
      <Block title="Still to come">
        {orders.length === 0 ? (
          <p>Everything is here.</p>
        ) : (
          <table>
            <tbody>
              {orders.map(line => (
                <tr key={line.key}>
                  <Td width="4%">☐</Td>
                  <Td>{line.what}</Td>
                  <Td>{line.count}</Td>
                  <Td>{line.state}</Td>
                  <Td>{line.leadDays === null ? '' : `${line.leadDays} days`}</Td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Block>
      <chakra.p mt="2" fontSize="11px">
        Check every figure against your own castings and the sheets of your parts before you cut. Guards,
        lifting and electrical work follow local codes and are for trained people.
      </chakra.p>
    </PaperScreen>
  )
}
