import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { orderList } from '@/core/orders/orders'
import { cutList } from '@/core/sheets/cutList'
import { screwSteps, totalLengthMm } from '@/core/sheets/leadscrewEnds/drawing'
import { judgeJoint } from '@/core/sheets/makingInputs'
import { say } from '@/core/units/print'
import { useAxis, useCatalogue, useJob, useUnits, whole } from '../bench'
import { Block, PaperScreen, Td } from './paper'

/** What a builder takes to the machine: cuts in order, the ends of the screw, screws, and what is still to come. */
export function WorksheetScreen({ onBack }: { onBack: () => void }) {
  const axis = useAxis(whole)
  const job = useJob(whole)
  const units = useUnits()
  const catalogue = useCatalogue()
  const cuts = known(() => cutList(new Trace(axis, catalogue), units))
  const steps = known(() => screwSteps(new Trace(axis, catalogue)))
  const orders = orderList(job, catalogue).filter(
    ({ axes, state }) => state !== 'arrived' && (axes.length === 0 || axes.includes(axis.name)),
  )
  const length = (mm: number) => say(Math.max(0, mm), 'length', units, 1)
  return (
    <PaperScreen
      title={`Work sheet: ${job.name}, axis ${axis.name}`}
      backLabel="Back to making room"
      printLabel="Print the work sheet"
      onBack={onBack}
    >
      <Block title="Cuts, in this order">
        {cuts.value ? (
          <table>
            <tbody>
              {cuts.value.map((cut, index) => (
                <tr key={cut.id}>
                  <Td width="4%">{cut.fit ? '☐' : '✗'}</Td>
                  <Td>
                    <b>
                      {index + 1}. {cut.what}
                    </b>{' '}
                    (
                    {cut.fit
                      ? cut.finish === 'true'
                        ? 'must be true'
                        : 'rough is fine'
                      : 'not fit to cut: take another way'}
                    )
                    <br />
                    {cut.tool}. Guide: {cut.guide}. <i>{cut.cautions.join(' ')}</i>
                  </Td>
                  <Td width="22%" textAlign="right">
                    {cut.depthMm !== null && <>depth {length(cut.depthMm)}</>}
                    {cut.wallLeftMm !== null && (
                      <>
                        <br />
                        wall left {length(cut.wallLeftMm)}
                      </>
                    )}
                  </Td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p>{cuts.ask}</p>
        )}
      </Block>
      <Block title="Ends of the screw, from the coupler on">
        {steps.value ? (
          <table>
            <tbody>
              {steps.value.map(step => (
                <tr key={step.name}>
                  <Td>{step.name}</Td>
                  <Td>
                    {step.diameterMm} mm {step.tolerance}
                  </Td>
                  <Td>{say(step.lengthMm, 'length', units)} long</Td>
                  <Td>{step.note}</Td>
                </tr>
              ))}
              <tr>
                <Td>
                  <b>Whole length</b>
                </Td>
                <Td />
                <Td>
                  <b>{say(totalLengthMm(steps.value), 'length', units)}</b>
                </Td>
                <Td />
              </tr>
            </tbody>
          </table>
        ) : (
          <p>{steps.ask}</p>
        )}
      </Block>
      <Block title="Screws">
        {axis.making.joints.length === 0 ? (
          <p>None noted.</p>
        ) : (
          <table>
            <tbody>
              {axis.making.joints.map(judgeJoint).map(({ joint, chosenMm, tight, drills }, index) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a joint is its place in the table
                <tr key={index}>
                  <Td>{joint.label}</Td>
                  <Td>
                    {joint.count} × {joint.thread} × {chosenMm ?? 'no length holds'}
                  </Td>
                  <Td>
                    {joint.slotNuts ? 'slot nuts' : `tap drill ${drills.tapDrillMm.toFixed(1)} mm`}, hole{' '}
                    {drills.clearanceHoleMm} mm
                  </Td>
                  <Td textAlign="right">{tight ? say(tight.torqueNm, 'torque', units, 1) : ''}</Td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Block>
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
