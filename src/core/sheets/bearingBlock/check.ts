import { defineChecks } from '../../evaluation/check'
import { bearingStack } from './calculation'
import { blockInputs, shimsFor } from './inputs'

export const BLOCK_CHECKS = defineChecks({
  'room.block': {
    title: 'Stack of the bearing block',
    subject: 'bearing',
    judge(t, say) {
      const { block } = t.axis
      if (!block) return null
      const { proudMm, shimMm, spacerForTargetMm, verdict } = t.figure(
        'block',
        bearingStack,
        blockInputs(block),
      )
      const { targetProudMm, maximumProudMm } = block
      const um = (mm: number) => say(mm * 1000, 'smallLength')
      const band = `against ${um(targetProudMm)} to ${um(maximumProudMm)} wanted`
      const stands =
        proudMm >= 0
          ? `The cover stands ${um(proudMm)} proud`
          : `The cover touches the block ${um(-proudMm)} too early`
      const figures = {
        figure: { value: proudMm * 1000, quantity: 'smallLength' as const },
        limit: {
          value: (verdict === 'too-proud' ? maximumProudMm : targetProudMm) * 1000,
          quantity: 'smallLength' as const,
        },
        use: null,
      }
      if (verdict === 'clamps')
        return { ...figures, state: 'holds', sentence: `${stands}, ${band}: it clamps the outer rings.` }
      if (verdict === 'too-proud')
        return {
          ...figures,
          state: 'fails',
          sentence: `${stands}, ${band}: it would bend. ${
            spacerForTargetMm >= 0
              ? `Take the spacer down to ${say(spacerForTargetMm, 'length')}.`
              : `Take ${say(-spacerForTargetMm, 'length')} off the spigot of the cover.`
          }`,
        }
      const shims = shimsFor(shimMm, maximumProudMm - proudMm, t.shop.shimStockMm)
      return {
        ...figures,
        state: shims ? 'close' : 'fails',
        sentence: `${stands}, ${band}: the outer rings are loose. ${
          shims
            ? `Shim with ${shims.map(um).join(' + ')}.`
            : `Shim ${um(shimMm)}: the stock at hand does not make that; or make the spacer ${say(spacerForTargetMm, 'length')}.`
        }`,
      }
    },
  },
})
