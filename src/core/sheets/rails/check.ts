import { defineChecks } from '../../evaluation/check'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { boltSequence } from '../shared/steps/boltSequence'
import { narrowestStrip, type Station, straightness } from './calculation'
import { heightsOf, railRounds, widthOf } from './rounds'

/** Most of a second rail's range that is a straight slope: it leans, it is not bowed. */
const LEANS = 0.6
/** So many screws of the order are said; the rest goes on alike. */
const SAID = 6

export const RAILS_CHECKS = defineChecks({
  'align.rails': {
    title: 'Rails',
    subject: 'line',
    judge: judgeRounds(railRounds, (t, round, say, small) => {
      const heights = heightsOf(round)
      const widthUm = widthOf(round)
      const { how, acceptedUm, screwPitchMm } = round
      if (widthUm === null || heights.length < 3)
        return noAdvice(
          how === 'level'
            ? 'Step the level along end to end, at least twice, and read each step: a reading that is left out ends the line.'
            : 'Read at three or more places along the rail: two always lie on a line.',
        )
      const at = (mm: number) => say(mm, 'length', 0)
      const stepUm = how === 'level' ? 0 : stepOf(round, 'rails')
      const { slopeUmPerM } = t.figure('straightness', straightness, { stations: heights })
      const figures = [widthUm, acceptedUm] as const
      if (widthUm + stepUm <= acceptedUm)
        return against('holds', 'smallLength', figures, () =>
          how === 'second'
            ? `The second rail keeps its distance within ${small(widthUm)}, against ${small(acceptedUm)} accepted.`
            : `Straight within a strip of ${small(widthUm)}, against ${small(acceptedUm)} accepted.`,
        )
      if (widthUm <= acceptedUm || (widthUm - stepUm <= acceptedUm && stepUm > acceptedUm / 2))
        return noAdvice(
          `${small(widthUm)} along the rail against ${small(acceptedUm)} accepted, read in steps of ${small(stepUm)}: a finer gauge would tell.`,
        )
      const lengthMm =
        Math.max(...heights.map(({ positionMm }) => positionMm)) -
        Math.min(...heights.map(({ positionMm }) => positionMm))
      const { order } = t.figure('railScrews', boltSequence, {
        count: Math.max(1, Math.min(500, Math.floor(lengthMm / screwPitchMm) + 1)),
        pattern: t.axis.buildSchools.rails,
      })
      const screws = `Then its screws in the order ${order.slice(0, SAID).join(', ')}${order.length > SAID ? ' and so on' : ''}, half the torque first.`
      const leanUm = (slopeUmPerM / 1000) * lengthMm
      const absurd =
        notMeant('shim', widthUm, 'From least to most it would be', say) ??
        (how === 'second' ? notMeant('shim', leanUm, 'The second rail would lean by', say) : null)
      if (absurd) return absurd
      if (how === 'second' && Math.abs(leanUm) > LEANS * widthUm) {
        const [near, far] = [
          at(Math.min(...heights.map(one => one.positionMm))),
          at(Math.max(...heights.map(one => one.positionMm))),
        ]
        return against(
          'fails',
          'smallLength',
          figures,
          () =>
            `The second rail is not parallel: it goes ${small(Math.abs(leanUm))} ${leanUm > 0 ? 'up on the gauge' : 'down on the gauge'} from ${near} to ${far}. Slacken it, tap its end at ${far} back by that with the gauge on it. ${screws}`,
        )
      }
      const worst = farthest(heights)
      return against(
        'fails',
        'smallLength',
        figures,
        () =>
          `${how === 'second' ? 'The second rail is bowed' : 'It is not straight'}: ${small(widthUm)} from least to most, against ${small(acceptedUm)} accepted; it stands ${small(Math.abs(worst.offUm))} ${worst.offUm > 0 ? 'proud' : 'low'} at ${at(worst.positionMm)}. ${how === 'level' ? 'Shim or scrape there, or bed the rail' : `Slacken the screws beside ${at(worst.positionMm)} and push it ${worst.offUm > 0 ? 'back' : 'out'} there`}. ${screws}`,
      )
    }),
  },
})

/** The place that lies furthest from the middle of the narrowest strip. */
function farthest(heights: readonly Station[]): { positionMm: number; offUm: number } {
  const strip = narrowestStrip(heights)
  const off = heights.map(({ positionMm, readingUm }) => ({
    positionMm,
    offUm: strip ? readingUm - strip.slopeUmPerMm * positionMm - strip.lowUm - strip.heightUm / 2 : 0,
  }))
  // The ends hold the strip; what bows lies between them.
  const between = off.slice(1, -1)
  return (between.length ? between : off).reduce((most, one) =>
    Math.abs(one.offUm) > Math.abs(most.offUm) ? one : most,
  )
}
