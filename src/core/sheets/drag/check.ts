import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { factorWords } from '../../readings/plausible'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { oddAdvice } from '../shared/rounds/odd'
import { against, clockOf, noAdvice } from '../shared/rounds/roundFinding'
import { eachScrew } from '../shared/rounds/screws'
import {
  type Cause,
  type DragReading,
  type Felt,
  type NextReading,
  nextReading,
} from '../shared/rounds/tightSpots'
import { dragOncePerTurn } from './calculation'
import { dragMap, dragRead, dragRounds, turnReadings, turnRounds, wholeRound } from './rounds'

/** A drag that is so many times lighter than what is reckoned was read in another unit, or with something off. */
const LIGHT_TIMES = 5
/** The last figure of a torque as it is said. */
const LAST_FIGURE_NM = 0.01
/** From this share of the level on, and so many times what readings scatter by, drag is uneven. */
const UNEVEN_SHARE = 0.35
const UNEVEN_ERRORS = 6

/** What a cause is called, as it is named on the drive line. */
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  coupler: 'the coupler',
  fixed: 'the fixed block',
  screw: 'the screw itself',
  nut: 'the nut',
  preload: 'preload, gib or wipers',
  gib: 'the gib',
  ways: 'the ways or rails',
  spot: 'one spot',
  far: 'the far block',
}

/** What each cause means and what mends it. */
function remedyWords(
  { cause, torqueNm, atMm }: Felt,
  say: Say,
  { isFarFree, asksGib }: { isFarFree: boolean; asksGib: boolean },
): string {
  if (asksGib)
    return `it binds as the nut comes near ${cause === 'nut' ? 'both blocks' : `the ${cause} block`}. A gib that is tight there feels the same: nothing is slackened before that is known.`
  switch (cause) {
    case 'fixed':
    case 'far':
      return `it binds as the nut comes near the ${cause} block: that block stands off the nut’s line. Slacken it with the nut run up to it, let it come where the screw wants it, and read the line of the screw.`
    case 'nut':
      return 'it binds alike near both blocks: the nut stands off the line, or both blocks do. Slacken the screws of the nut at one end of the travel, tighten them there, and wind it through.'
    case 'ways':
      return `it grows evenly towards the ${torqueNm > 0 ? (isFarFree ? 'free' : 'far') : 'motor'} end: rails or ways close up there, or are worn at the other end. Read Rails, or the gib along the travel.`
    case 'gib':
      if (atMm !== null)
        return `it binds at ${say(atMm, 'length', 0)}, and not with the gib slacked: the gib is tight there, or the ways are. No block is off by that. Read the gib along the travel, and set it where it is tightest.`
      return `it is tighter ${torqueNm > 0 ? 'going away from the motor' : 'coming towards the motor'} all along: the gib walks with the slide and wedges, or a weight pulls. Set the gib, and lock it.`
    case 'spot':
      return `it binds at ${say(atMm ?? 0, 'length', 0)} alone: a chip or a burr on the way, or a hurt ball track. Clean it there and feel along the way with a nail.`
    case 'screw':
      return 'it goes tight and free once a turn, with the coupler off too as far as that was read: a bent screw or a bent journal. Read Run-out.'
    case 'coupler':
      return 'it goes tight and free once a turn, and not with the coupler off: the coupler is out of line. Read Motor to screw.'
    case 'preload':
      return `it is even, and ${say(torqueNm, 'torque', 2)} more than preload, seals and ways should take: too much preload, a tight gib or dry wipers. Take it apart by halves.`
  }
}

/** The reading that would tell more, as one does it. */
export function nextWords(next: NextReading, say: Say): string {
  switch (next.kind) {
    case 'nearer':
      return `Next: wind the nut closer to the ${next.end} block, to ${say(next.atMm, 'length', 0)} or as near as it goes, and read there: a block off its line is felt only near it.`
    case 'between':
      return 'Next: read at two more places between, to see how fast it fades from the block.'
    case 'slack-nut':
      return 'Next: slack the nut’s screws and read both ends again. If it is gone, it is the nut; if it stays at both ends, what holds the screw.'
    case 'slack-gib':
      return 'Next: slack the gib and read two places again, both ways. If the difference is gone, it is the gib; if it stays, a weight pulls.'
    case 'slack-gib-there':
      return 'Next: slack the gib and read there and in the middle again, both ways, as a round with the gib slack. On rails without a gib say so by reading Rails. If it stays, it is the block.'
    case 'nut-off':
      return 'Next: take the nut off the table and push the slide along by itself with a scale. If it still grows, it is ways or rails; if not, the screw’s line.'
    case 'turn-there':
      return `Next: turn the screw a few turns to and fro at ${say(next.atMm, 'length', 0)}. What moves with the turn is in the nut; what stays at the place is on the way.`
    case 'turn':
      return 'Next: read over one turn, at eight angles, the nut in the middle.'
    case 'coupler-off':
      return 'Next: take the coupler off and read over one turn again: if it is gone, it is the coupler.'
    case 'halve':
      return 'Next: slack the gib and read again; then the nut off; then the coupler off. What each takes away is what that part held.'
    case 'none':
      return ''
  }
}

const atMachine = (t: EvaluationContext, say: Say) => {
  const found = dragMap(t)
  return found && { ...found, next: nextWords(nextReading(found.read, found.map), say) }
}

export const DRAG_CHECKS = defineChecks({
  'align.drag': {
    title: 'Tight spots',
    subject: 'line',
    judge: eachScrew(dragRounds.pick, (t, say) => {
      const round = wholeRound(t.axis)
      if (!round)
        return t.axis.dragRounds.length ? noAdvice('Begin with nothing taken apart: as it runs.') : null
      const odd = oddAdvice(dragRounds, round, say)
      if (odd) return odd
      const read = dragRead(t)
      const found = atMachine(t, say)
      if (!read || !found)
        return noAdvice(
          t.axis.ends === 'fixed-free'
            ? 'Read both ways at four places or more: near the fixed block, and on to where the nut turns back. One reading more than that shows how sure they are.'
            : 'Read both ways at four places or more: near both blocks, and between them. One reading more than that shows how sure they are.',
        )
      const { map, next } = found
      const torque = (nm: number) => say(nm, 'torque', 2)
      // No reading is known to nothing: what is less than its last figure is said to be that.
      const within = (nm: number) =>
        nm < LAST_FIGURE_NM / 2 ? `under ${torque(LAST_FIGURE_NM)}` : torque(nm)
      // Readings that rise as much as this are felt by any hand, whether or not they tell why; they are not even.
      const isUneven =
        map.unevenNm > UNEVEN_SHARE * map.levelNm && map.unevenNm > UNEVEN_ERRORS * map.residualNm
      if (isUneven && (map.named === null || map.named === 'preload')) {
        const byTorque = read.along.toSorted((a, b) => b.torqueNm - a.torqueNm)
        const [most, least] = [byTorque[0] as DragReading, byTorque.at(-1) as DragReading]
        const at = ({ torqueNm, positionMm }: DragReading) =>
          `${torque(torqueNm)} at ${say(positionMm, 'length', 0)}`
        return noAdvice(
          `Something binds: it takes ${at(most)} and ${at(least)}. Which part it is these readings cannot tell: read at more places, the nearest to each block and between, both ways. Loosen nothing until they do.`,
        )
      }
      if (map.named === null && map.runsByItself)
        return noAdvice(
          'Even along the travel. Its weight winds it down by itself: whether it is tight all along, or one way, these readings cannot tell. Hang the weight on a hoist and read again.',
        )
      const expected = read.expectedNm ?? null
      if (
        expected !== null &&
        expected > LIGHT_TIMES * Math.max(map.levelNm, read.stepNm) &&
        !read.weightNm
      ) {
        const why = factorWords(expected / Math.max(map.levelNm, read.stepNm))
        return noAdvice(
          `It takes ${torque(map.levelNm)}, where preload, bearings and ways are reckoned to take ${torque(expected)}: ${why ? `were these read as ${why}?` : 'was it read in another unit, or with the nut or the coupler off?'} So light nothing could be told to bind.`,
        )
      }
      if (map.named === null)
        return against(
          'holds',
          'torque',
          [map.levelNm, read.expectedNm ?? map.levelNm],
          `Even along the travel and both ways, ${torque(map.levelNm)}: nothing binds that these readings can tell. ${next}`.trim(),
        )
      const named = map.felt.find(({ cause }) => cause === map.named) as Felt
      return against(
        'fails',
        'torque',
        [Math.abs(named.torqueNm), map.levelNm / 10],
        `Most of all it is ${CAUSE_WORDS[map.named]}, ${torque(Math.abs(named.torqueNm))} ± ${within(3 * named.standardErrorNm)} on a level of ${torque(map.levelNm)}: ${remedyWords(named, say, { isFarFree: t.axis.ends === 'fixed-free', asksGib: map.asksGib })} ${next}`.trim(),
      )
    }),
  },
  'align.turn': {
    title: 'Drag over one turn',
    subject: 'screw',
    judge: judgeRounds(turnRounds, (t, round, say) => {
      const readings = turnReadings(round, t.shop)
      if (!readings)
        return noAdvice('Read the drag at four or more angles over one turn; eight show a wave well.')
      const { meanNm, amplitudeNm, tightestDeg, residualNm } = t.figure('dragOncePerTurn', dragOncePerTurn, {
        readings,
      })
      const torque = (nm: number) => say(nm, 'torque', 2)
      const errorNm = (residualNm ?? 0) * Math.sqrt(2 / readings.length)
      const figures = [amplitudeNm, meanNm / 10] as const
      return amplitudeNm > meanNm / 10 && amplitudeNm > 3 * errorNm
        ? against(
            'fails',
            'torque',
            figures,
            () =>
              `Tight once a turn: ${torque(amplitudeNm)} about ${torque(meanNm)}, tightest with the mark at ${say(tightestDeg, 'angle', 0)} (${clockOf(tightestDeg)}).`,
          )
        : against(
            'holds',
            'torque',
            figures,
            () => `Even over the turn: ${torque(meanNm)}, up and down by ${torque(amplitudeNm)}.`,
          )
    }),
  },
})
