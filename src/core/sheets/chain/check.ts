import { askFor, defineChecks } from '../../evaluation/check'
import { byMachines } from '../../machine/castings'
import { MACHINE_TO_SIZE_FROM, stackupChain } from './calculation'
import { contributors, expectedIn } from './inputs'

export const CHAIN_CHECKS = defineChecks({
  'room.chain': {
    title: 'Chain of dimensions',
    subject: 'axis',
    judge(t, say) {
      const { chain } = t.axis
      if (chain.links.length === 0) return null
      const expected = expectedIn(t.axis, chain)
      const measured = chain.links.flatMap(({ dimension }) => dimension ?? [])
      const [unread] = measured.filter(key => t.dimensionAsItIs(key).value === null)
      const { probabilityWithin, advice, adjustmentRangeMm, worstMinMm, worstMaxMm } = t.figure(
        'chain',
        stackupChain,
        {
          contributors: contributors(t.axis, chain),
          lowerLimitMm: chain.lowerLimitMm,
          upperLimitMm: chain.upperLimitMm,
        },
      )
      const rests = expected.length > 0 ? byMachines(expected.map(({ machines }) => machines)) : null
      const comesTo = `${rests ? `${rests}, it comes` : 'It comes'} to between ${say(worstMinMm, 'length')} and ${say(worstMaxMm, 'length')} at worst; ${say(probabilityWithin, 'share')} would fall within the limits`
      const range = say(adjustmentRangeMm, 'length')
      if (unread)
        return {
          state: 'unknown',
          figure: null,
          limit: null,
          use: null,
          missing: { dimension: unread },
          sentence: () =>
            `${askFor({ dimension: unread })} ${comesTo}.${advice === 'machine-to-size' ? '' : ` Until it is measured, think of slots or shims over ${range}.`}`,
        }
      return {
        state: advice === 'machine-to-size' ? 'holds' : 'close',
        figure: { value: probabilityWithin, quantity: 'share' },
        limit: { value: MACHINE_TO_SIZE_FROM, quantity: 'share' },
        use: null,
        sentence: () =>
          advice === 'machine-to-size'
            ? `${comesTo}. Make the parts to size.`
            : `${comesTo}. Leave it adjustable: slots or shims over ${range}.`,
      }
    },
  },
})
