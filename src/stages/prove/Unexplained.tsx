import type { Axis, ReversalTest } from '@/core/document/job'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { lostMotionBudget } from '@/core/machine/drive/stiffness'
import { unexplained, worstStation } from '@/core/sheets/reversal/judgeTest'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { useCatalogue } from '../bench'

/** Measured against what the parts should lose: whether there is a fault to look for. */
export function Unexplained({ axis, test, units }: { axis: Axis; test: ReversalTest; units: UnitSystem }) {
  const worst = worstStation(test)
  const catalogue = useCatalogue()
  const budget = known(() => lostMotionBudget(new Trace(axis, catalogue)))
  if (!worst || !budget.value) return null
  const small = (um: number) => say(um, 'smallLength', units)
  const { totalUm } = budget.value
  const rest = unexplained(worst.figures, totalUm)
  return (
    <p>
      {rest.counts
        ? `The parts account for ${small(totalUm)} of it. The other ${small(rest.um)} are a fault to find: try the nut screws, the block screws, the bearing locknut and the coupler hubs with the indicator on each in turn, then the gib.`
        : `The parts account for ${small(totalUm)}: no fault shows beyond them.`}
    </p>
  )
}
