import { chakra } from '@chakra-ui/react'
import type { PartKind } from '@/core/document/kinds'
import type { Lifted, WhyNothing } from '@/core/search/whyNot'
import { money } from '@/core/units/print'
import { Stated } from '@/ui/Note'

const LACKING: Readonly<Record<PartKind, string>> = {
  screw: 'a screw',
  bearing: 'bearings',
  coupler: 'a coupler or a belt',
  belt: 'a coupler or a belt',
  motor: 'a motor',
  brake: 'a brake',
}

/** "12 hold, from €340" */
const brought = ({ count, holds, leastEur }: Omit<Lifted, 'given'>) =>
  `${count} ${holds ? (count === 1 ? 'holds' : 'hold') : 'would be close'}, from ${money(leastEur)}`

/** Why nothing holds: which parts there are none of, what one thing less that is given would bring, and what fails. */
export function Nothing({ why: { lacking, corrected, lifted, fails, nearest } }: { why: WhyNothing }) {
  return (
    <>
      <chakra.p fontWeight={700}>No drive holds within that.</chakra.p>
      {lacking.length > 0 && (
        <Stated>
          Of what is given there is not even {lacking.map(kind => LACKING[kind]).join(', nor ')}.
        </Stated>
      )}
      {corrected && (
        <Stated mt="1">
          With the <strong>lead measured and corrected</strong> from a table in the controller, which is set
          under Kind of drive: {brought(corrected)}.
        </Stated>
      )}
      {lifted.length > 0 && (
        <>
          <Stated mt="1">With one thing less to keep to:</Stated>
          <Stated as="ul" pl="5" listStyleType="disc">
            {lifted.map(({ given, ...brings }) => (
              <li key={given}>
                not <strong>{given}</strong>: {brought(brings)}
              </li>
            ))}
          </Stated>
        </>
      )}
      {fails.length > 0 && (
        <>
          <Stated mt="1">{nearest ? 'On the nearest one:' : 'On the screw that comes nearest:'}</Stated>
          <Stated as="ul" pl="5" listStyleType="disc">
            {fails.map(({ title, sentence }) => (
              <li key={title}>
                <strong>{title}</strong>: {sentence}
              </li>
            ))}
          </Stated>
        </>
      )}
    </>
  )
}
