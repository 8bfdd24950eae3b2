import { attempt } from '../../evaluation/attempt'
import { type Option, offered, type RemedyFinder } from '../../evaluation/remedy'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import { shimsFor } from '../shared/rounds/shims'
import { bearingStack } from './calculation'
import { blockInputs, spacersDifferMm } from './inputs'
import type { BearingBlock } from './model'

interface Way extends Omit<Option, 'change'> {
  set: Partial<BearingBlock>
}
interface Stack {
  block: BearingBlock
  proudMm: number
  stockMm: readonly number[]
  units: UnitSystem
}

/** A change of the block, offered where it mends. */
const way = (find: (stack: Stack) => Way | null): RemedyFinder =>
  offered(({ axis: { block }, shop, units }) => {
    const stack = block && attempt(() => bearingStack(blockInputs(block))).value
    const found =
      block && stack ? find({ block, proudMm: stack.proudMm, stockMm: shop.shimStockMm, units }) : null
    if (!found) return null
    const { set, ...option } = found
    return {
      ...option,
      change: draft => {
        if (draft.block) Object.assign(draft.block, set)
      },
    }
  })

const rounded = (mm: number) => Math.round(mm * 1000) / 1000

/** Shims between the spigot of the cover and the outer ring: of the stock at hand, else one to be ground. */
export const shimUnderSpigot = (): RemedyFinder =>
  way(({ block, proudMm, stockMm, units }) => {
    const lackMm = block.targetProudMm - proudMm
    if (lackMm <= 0) return null
    const shims = shimsFor(lackMm, block.maximumProudMm - proudMm, stockMm)
    const addMm = shims ? shims.reduce((sum, one) => sum + one, 0) : rounded(lackMm)
    return {
      set: { coverShimMm: rounded(block.coverShimMm + addMm) },
      label: `Shim of ${say(addMm, 'length', units)} under the spigot, onto the outer ring`,
      cost: shims ? 'of the stock at hand' : 'a ring to grind or shim stock to buy',
    }
  })

/** Shims taken out again, or the spigot turned down, where the cover stands too proud. */
export const lessUnderCover = (): RemedyFinder =>
  way(({ block, proudMm, units }) => {
    const offMm = rounded(proudMm - block.targetProudMm)
    if (offMm <= 0) return null
    if (offMm <= block.coverShimMm)
      return {
        set: { coverShimMm: rounded(block.coverShimMm - offMm) },
        label: `${say(offMm, 'length', units)} of shims out from under the spigot`,
      }
    const spigotMm = rounded((block.coverSpigotMm ?? 0) + block.coverShimMm - offMm)
    return spigotMm < 0
      ? null
      : {
          set: { coverSpigotMm: spigotMm, coverShimMm: 0 },
          label: `Spigot of the cover turned down to ${say(spigotMm, 'length', units)}`,
          cost: 'a cut on the lathe, square to its bore',
        }
  })

/** Both spacers of one length, that of the outer rings' as it is. */
export const equalSpacers = (): RemedyFinder =>
  way(({ block, units }) => {
    const { outerSpacerMm, innerSpacerMm } = block
    if (spacersDifferMm(block) === 0) return null
    const shorterMm = Math.min(outerSpacerMm, innerSpacerMm ?? outerSpacerMm)
    // A spacer can be ground shorter; where there is none on one side, one is made as long as the other.
    const lengthMm = shorterMm > 0 ? shorterMm : Math.max(outerSpacerMm, innerSpacerMm ?? 0)
    return {
      set: { outerSpacerMm: lengthMm, innerSpacerMm: lengthMm },
      label: `Both spacers ${say(lengthMm, 'length', units)} long`,
      cost: 'to grind together, both faces true to each other',
    }
  })
