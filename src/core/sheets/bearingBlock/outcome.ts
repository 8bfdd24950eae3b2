import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { shimsFor } from '../shared/rounds/shims'
import { bearingStack } from './calculation'
import { blockInputs } from './inputs'
import type { BearingBlock } from './model'
import { equalSpacers, lessUnderCover, shimUnderSpigot } from './remedies'

/** Thickness that a block is short of and that the stock at hand does not make; null where nothing lacks. */
function shimLacking(block: BearingBlock, stockMm: readonly number[]): number | null {
  const stack = attempt(() => bearingStack(blockInputs(block))).value
  if (!stack) return null
  const { shimMm, proudMm, verdict } = stack
  if (verdict !== 'shim' || shimsFor(shimMm, block.maximumProudMm - proudMm, stockMm)) return null
  return Math.round(shimMm * 1000) / 1000
}

/** What mends the stack of bearings, and the shims that it lacks. */
export const bearingBlockOutcome = defineOutcome({
  calculations: [bearingStack],
  remedies: { 'room.block': [shimUnderSpigot(), lessUnderCover(), equalSpacers()] },
  orders({ block }, { shop }, units) {
    const shimMm = block && shimLacking(block, shop.shimStockMm)
    return shimMm === null
      ? []
      : [
          {
            key: `shim:${shimMm}`,
            what: `Shim stock that makes ${say(shimMm, 'length', units, 2)}`,
            count: 1,
            neededBy: 'room',
            sheetEur: null,
          },
        ]
  },
})
