import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { threadDrills } from '@/core/machine/joints/thread'
import { shimSet, stackupChain } from '@/core/sheets/chain/calculation'
import { contributors, expectedIn } from '@/core/sheets/chain/inputs'
import { say } from '@/core/units/print'
import { Stated } from '@/ui/Note'
import { useJob, useUnits } from '../../job/JobContext'
import { useSettledAxis } from '../../job/useAxis'

/** What to leave adjustable where the parts are not made to size: shims to have at hand, slots to cut. */
export function Adjustment() {
  const axis = useSettledAxis()
  const units = useUnits()
  const shimStockMm = useJob(job => job.shop.shimStockMm)
  const { chain, joints } = axis
  const { lowerLimitMm, upperLimitMm } = chain
  const found = attempt(() =>
    stackupChain({ contributors: contributors(axis, chain), lowerLimitMm, upperLimitMm }),
  )
  // By other machines alone nothing is slotted: the check says what to expect, and asks to measure first.
  if (chain.links.length === 0 || expectedIn(axis, chain).length > 0) return null
  if (found.value?.advice !== 'leave-adjustable') return null
  const { adjustmentRangeMm, worstMaxMm } = found.value
  const length = (mm: number) => say(mm, 'length', units)
  const shims = shimSet(adjustmentRangeMm, upperLimitMm - lowerLimitMm, shimStockMm)
  const tooLongMm = worstMaxMm - upperLimitMm
  const threads = [...new Set(joints.map(({ thread }) => thread))]
  return (
    <Stated as="div" mt="3" role="group" aria-label="To leave adjustable">
      <chakra.p fontWeight={700}>
        Leave it adjustable over {length(adjustmentRangeMm)}, by one of these:
      </chakra.p>
      <chakra.ul pl="5" listStyleType="disc">
        <li>
          Shims:{' '}
          {shims
            ? `${counted(shims)
                .map(([mm, count]) => `${count} × ${length(mm)}`)
                .join(
                  ' + ',
                )} make any thickness up to ${length(adjustmentRangeMm)}, near enough for the limits.`
            : 'the stock at hand, listed under the bearing block, is too thick for these limits.'}
          {tooLongMm > 0 &&
            ` Make a part that lengthens it ${length(tooLongMm)} shorter first: shims only add.`}
        </li>
        <li>
          Slots instead of holes, along the chain:{' '}
          {threads.length > 0
            ? threads
                .map(thread => {
                  const holeMm = threadDrills({ thread }).clearanceHoleMm
                  return `${length(holeMm)} wide and ${length(holeMm + adjustmentRangeMm)} long for ${thread}`
                })
                .join('; ')
            : `longer than the hole by ${length(adjustmentRangeMm)}`}
          . Put a washer that covers the slot under each head.
        </li>
      </chakra.ul>
    </Stated>
  )
}

/** Each thickness with how many of it there are, in its order. */
function counted(sizesMm: readonly number[]): [mm: number, count: number][] {
  const counts = new Map<number, number>()
  for (const mm of sizesMm) counts.set(mm, (counts.get(mm) ?? 0) + 1)
  return [...counts]
}
