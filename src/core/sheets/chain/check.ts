import { defineChecks } from '../../evaluation/check'
import { MACHINE_TO_SIZE_FROM, stackupChain } from './calculation'
import { contributors } from './inputs'

export const CHAIN_CHECKS = defineChecks({
  'room.chain': {
    title: 'Chain of dimensions',
    subject: 'axis',
    judge(t, say) {
      const { chain } = t.axis
      if (chain.links.length === 0) return null
      for (const { dimension } of chain.links) if (dimension) t.dimension(dimension)
      const { probabilityWithin, advice, adjustmentRangeMm, worstMinMm, worstMaxMm } = t.figure(
        'chain',
        stackupChain,
        {
          contributors: contributors(t.axis, chain),
          lowerLimitMm: chain.lowerLimitMm,
          upperLimitMm: chain.upperLimitMm,
        },
      )
      const comesTo = `It comes to between ${say(worstMinMm, 'length')} and ${say(worstMaxMm, 'length')} at worst; ${say(probabilityWithin, 'share')} would fall within the limits`
      return {
        state: advice === 'machine-to-size' ? 'holds' : 'close',
        figure: { value: probabilityWithin, quantity: 'share' },
        limit: { value: MACHINE_TO_SIZE_FROM, quantity: 'share' },
        use: null,
        sentence: () =>
          advice === 'machine-to-size'
            ? `${comesTo}. Make the parts to size.`
            : `${comesTo}. Leave it adjustable: slots or shims over ${say(adjustmentRangeMm, 'length')}.`,
      }
    },
  },
})
