import { groupBy, mean } from 'es-toolkit'
import { defineChecks } from '../../evaluation/check'
import { median } from '../../readings/plausible'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { boltSequence } from '../shared/steps/boltSequence'
import { narrowestStrip, oddPlace, offMiddle, type Station, straightness } from './calculation'
import type { RailRound } from './model'
import { heightsOf, railRounds, widthOf } from './rounds'

/** Most of a second rail's range that is a straight slope: it leans, it is not bowed. */
const LEANS = 0.6
/** And so much is left of it when the slope is taken away. */
const LEFT = 0.6
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
      const { worst, isOne, bow, slopeUmPerM, leansMostly } = railOrder(heights)
      const stands = ({ positionMm, offUm }: { positionMm: number; offUm: number }) =>
        `${small(Math.abs(offUm))} ${offUm > 0 ? 'proud' : 'low'} at ${at(positionMm)}`
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
      const lone = how === 'level' ? null : loneReading(round, heights)
      const rounds = railRounds.pick(t.axis)
      const before = rounds[rounds.indexOf(round) - 1]
      if (lone && !(before?.how === how && confirms(before, lone)))
        return noAdvice(
          lone.againUm === null
            ? `All but one place lie within ${small(lone.othersUm)}; that at ${at(lone.positionMm)} alone stands ${small(Math.abs(lone.offUm))} off. Read it once more, in a row of its own: a figure that was put down wrongly looks so. Nothing is slackened before.`
            : `At ${at(lone.positionMm)} it was read twice, and not alike: ${small(lone.readingUm)} and ${small(lone.againUm)}. Take out the row that was put down wrongly. Nothing is slackened before.`,
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
      if (how === 'second' && leansMostly) {
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
      return against('fails', 'smallLength', figures, () =>
        isOne
          ? `${how === 'second' ? 'The second rail is not straight' : 'It is not straight'}: ${small(widthUm)} from least to most, against ${small(acceptedUm)} accepted; it stands ${stands(worst)}. ${how === 'level' ? 'Shim or scrape there, or bed the rail' : `Slacken the screws beside ${at(worst.positionMm)} and push it ${worst.offUm > 0 ? 'back' : 'out'} there`}. ${screws}`
          : `${how === 'second' ? 'The second rail is bowed' : 'It is not straight'}: ${small(widthUm)} from least to most, against ${small(acceptedUm)} accepted. Off the line through its ends it stands ${bow.map(stands).join(', ')}. ${how === 'level' ? 'Shim, scrape or bed it by that' : 'Slacken all but the screws at its ends, and push it back at each of these places by that, the gauge beside it'}. ${screws}`,
      )
    }),
  },
})

/** A reading that alone decides. */
interface LoneReading extends Station {
  /** How far it stands off the others. */
  offUm: number
  /** How wide all others are. */
  othersUm: number
  /** What else was read at its place; null where it was read once. */
  againUm: number | null
}
/** Without it all must lie within such a share of what is accepted, of so many places at least. */
const WELL_WITHIN = 0.5
const FEWEST_OTHERS = 3
/** A second reading comes to the first within such a share of it. */
const COMES_AGAIN = 0.3

/** The one reading without which the rail would hold well; null where there is none, as where it was read twice alike. */
function loneReading(round: RailRound, heights: readonly Station[]): LoneReading | null {
  const found = heights.flatMap(place => {
    const others = heights.filter(one => one !== place)
    const othersUm = widthOf(round, others)
    return othersUm === null || others.length < FEWEST_OTHERS || othersUm > WELL_WITHIN * round.acceptedUm
      ? []
      : [{ place, others, othersUm }]
  })
  const [least] = found.toSorted((a, b) => a.othersUm - b.othersUm)
  if (!least) return null
  const { place, others, othersUm } = least
  const offUm = place.readingUm - median(others.map(({ readingUm }) => readingUm))
  // The first place is read again as the last, which is none of the heights.
  const there = round.stations.flatMap(({ positionMm, readingUm }) =>
    positionMm === place.positionMm && readingUm !== null ? [readingUm] : [],
  )
  const again = there.toSpliced(there.indexOf(place.readingUm), 1)
  if (again.some(readingUm => comesAgain(readingUm - place.readingUm, offUm))) return null
  return { ...place, offUm, othersUm, againUm: again[0] ?? null }
}
const comesAgain = (apartUm: number, offUm: number) => Math.abs(apartUm) <= COMES_AGAIN * Math.abs(offUm)

/** Whether another round of the rail has the same place off alike. */
function confirms(other: RailRound, { positionMm, offUm }: LoneReading): boolean {
  const heights = heightsOf(other)
  const middleUm = median(heights.map(({ readingUm }) => readingUm))
  return heights.some(
    one => one.positionMm === positionMm && comesAgain(one.readingUm - middleUm - offUm, offUm),
  )
}

/** What is pushed: the one place that stands off all others, or else what bows furthest between the ends. */
function farthest(heights: readonly Station[]): { positionMm: number; offUm: number } {
  const strip = narrowestStrip(heights)
  const off = heights.map(place => ({
    positionMm: place.positionMm,
    offUm: strip ? offMiddle(strip, place) : 0,
  }))
  // The ends hold the strip; what bows lies between them.
  const between = off.slice(1, -1)
  return (between.length ? between : off).reduce((most, one) =>
    Math.abs(one.offUm) > Math.abs(most.offUm) ? one : most,
  )
}

/** How a rail stands off the line through its ends, at the places between them. */
function offEnds(heights: readonly Station[]): { positionMm: number; offUm: number }[] {
  const along = eachOnce(heights).toSorted((a, b) => a.positionMm - b.positionMm)
  const [first, last] = [along[0], along.at(-1)]
  if (!first || !last || last.positionMm === first.positionMm) return []
  const slope = (last.readingUm - first.readingUm) / (last.positionMm - first.positionMm)
  return along.slice(1, -1).map(({ positionMm, readingUm }) => ({
    positionMm,
    offUm: readingUm - first.readingUm - slope * (positionMm - first.positionMm),
  }))
}

/** A place that was read several times stands where its readings do on average. */
const eachOnce = (heights: readonly Station[]): Station[] =>
  Object.entries(groupBy(heights, ({ positionMm }) => positionMm)).map(([, read]) => ({
    positionMm: (read[0] as Station).positionMm,
    readingUm: mean(read.map(({ readingUm }) => readingUm)),
  }))

/** What is done about a rail that is not straight: the place that is pushed, and what a second one leans by. */
export function railOrder(heights: readonly Station[]): {
  worst: { positionMm: number; offUm: number }
  /** One place stands off all others; else it is bowed. */
  isOne: boolean
  /** How it stands off the line through its ends, at the places between them. */
  bow: { positionMm: number; offUm: number }[]
  slopeUmPerM: number
  leansMostly: boolean
} {
  const places = heights.map(({ positionMm }) => positionMm)
  const lengthMm = Math.max(...places) - Math.min(...places)
  const { slopeUmPerM, leastSquaresUm, rangeUm } = straightness({ stations: [...heights] })
  const one = oddPlace(eachOnce(heights))
  return {
    worst: one ?? farthest(heights),
    isOne: one !== null,
    bow: offEnds(heights),
    slopeUmPerM,
    // Only where a tap takes most of it away, and does not make one end stand out instead.
    leansMostly: Math.abs(slopeUmPerM / 1000) * lengthMm > LEANS * rangeUm && leastSquaresUm < LEFT * rangeUm,
  }
}
