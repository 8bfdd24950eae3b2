import { defineChecks } from '../../evaluation/check'
import { notMeant } from '../shared/rounds/meant'
import { shimsFor } from '../shared/rounds/shims'
import { bearingStack } from './calculation'
import { blockInputs, spacersDifferMm } from './inputs'

export const BLOCK_CHECKS = defineChecks({
  'room.block': {
    title: 'Stack of the bearing block',
    subject: 'bearing',
    judge(t, say) {
      const { block } = t.axis
      if (!block) return null
      const { proudMm, shimMm, verdict } = t.figure('block', bearingStack, blockInputs(block))
      const { targetProudMm, maximumProudMm } = block
      const um = (mm: number) => say(mm * 1000, 'smallLength')
      const band = `against ${um(targetProudMm)} to ${um(maximumProudMm)} wanted`
      const stands =
        proudMm >= 0
          ? `Screwed down by hand, the cover leaves a gap of ${um(proudMm)}`
          : `The cover touches the block ${um(-proudMm)} before it reaches the rings`
      const differMm = spacersDifferMm(block)
      const figures = {
        figure: { value: proudMm * 1000, quantity: 'smallLength' as const },
        limit: {
          value: (verdict === 'too-proud' ? maximumProudMm : targetProudMm) * 1000,
          quantity: 'smallLength' as const,
        },
        use: null,
      }
      if (differMm !== 0)
        return {
          ...figures,
          state: 'fails',
          sentence: () =>
            differMm > 0
              ? `The spacer between the outer rings is ${say(differMm, 'length')} longer than the one between the inner rings: the locknut crushes the pair. Grind both to one length, together.`
              : `The spacer between the inner rings is ${say(-differMm, 'length')} longer than the one between the outer rings: the pair stays loose. Grind both to one length, together.`,
        }
      if (verdict === 'clamps')
        return {
          ...figures,
          state: 'holds',
          sentence: () => `${stands}, ${band}: it clamps the outer rings.`,
        }
      const absurdly = notMeant('cover', proudMm - targetProudMm, 'The cover would stand off by', say)
      if (absurdly) return absurdly
      if (verdict === 'too-proud')
        return {
          ...figures,
          state: 'fails',
          sentence: () =>
            `${stands}, ${band}: it would bend. ${
              block.coverShimMm > 0
                ? 'Take shims out from under the spigot.'
                : `Take ${say(proudMm - targetProudMm, 'length')} off the spigot of the cover.`
            }`,
        }
      const absurd = notMeant('cover', shimMm, 'Under the spigot would go', say)
      if (absurd) return absurd
      const shims = shimsFor(shimMm, maximumProudMm - proudMm, t.shop.shimStockMm)
      return {
        ...figures,
        state: shims ? 'close' : 'fails',
        sentence: () =>
          `${stands}, ${band}: the outer rings are loose. ${
            shims
              ? `Shim under the spigot, onto the outer ring, with ${shims.map(um).join(' + ')}.`
              : `Shim ${um(shimMm)} under the spigot: the stock at hand does not make that.`
          }`,
      }
    },
  },
})
