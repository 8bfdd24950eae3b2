import { attempt } from '../../evaluation/attempt'
import { type Check, defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { NotKnown } from '../../evaluation/notKnown'
import { openStations } from '../shared/rounds/closing'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { noAdvice } from '../shared/rounds/roundFinding'
import { nearestMm, sideLoad } from '../shared/rounds/sideLoad'
import { lifeLeftWords } from '../shared/rounds/worth'
import { screwBent, screwLine } from './calculation'
import {
  bentInputs,
  isBent,
  isUpright,
  judgePlane,
  type LineSetting,
  lineInputs,
  lineSetting,
  type Plane,
} from './judgePlane'
import { type AlignRound, closes } from './model'
import { screwRounds } from './rounds'

type Way = Plane | 'out'
const DIRECTION: Record<Way, [grows: string, shrinks: string]> = {
  height: ['Raise', 'Lower'],
  // The screw of a head hangs before its column.
  out: ['Bring out from the ways', 'Set back to the ways'],
  side: ['Shift towards you', 'Shift away from you'],
}

/** One move in words: "Raise the far block by 60 µm". */
export function moveInWords(way: Way, move: { block: 'fixed' | 'far'; moveUm: number }, say: Say): string {
  const [grows, shrinks] = DIRECTION[way]
  const verb = move.moveUm >= 0 ? grows : shrinks
  const [first = '', ...rest] = verb.split(' ')
  return `${[first, `the ${move.block} block`, ...rest].join(' ')} by ${say(Math.abs(move.moveUm), 'smallLength')}`
}

const alignCheck = (plane: Plane): Check => ({
  title: plane === 'height' ? 'Screw line in height' : 'Screw line to the side',
  subject: 'line',
  judge: judgeRounds(
    screwRounds,
    (t, round, say, small) => {
      const setting = lineSetting(t, t.dimension('supportSpanMm'))
      const targetUm = t.axis.goals.alignmentTargetUm
      const inputs = lineInputs(round, plane, setting)
      if (inputs) {
        if (isBent(round, setting, inputs)) t.figure(`line.${plane}`, screwBent, bentInputs(inputs, setting))
        else t.figure(`line.${plane}`, screwLine, inputs)
      }
      const none = { figure: null, limit: null, use: null }
      const few: Judgement = {
        ...none,
        state: 'unknown',
        sentence: 'Read the screw at two or more places in this plane.',
      }
      if (!inputs) return few
      if (round.gaugeStepUm === null)
        throw new NotKnown({ sheet: 'screwLine', stage: 'align', what: 'the step of the gauge' })
      const { gaugeStepUm } = round
      const advice = judgePlane(round, plane, setting, targetUm, gaugeStepUm)
      if (advice.kind === 'too-few') return few
      const asked = isAsked(round) ? askedOf(round, setting) : null
      if (asked) return noAdvice(asked)
      const bent = small(advice.line.worstResidualUm)
      if (advice.kind === 'poor')
        return {
          ...none,
          state: 'unknown',
          sentence: () =>
            `No advice: a reading lies ${bent} off the straight line, too much against the corrections${sagWords(setting, plane)}. Read again; if it stays, the screw is bent: roll it on the bed to see.`,
        }
      const target = small(targetUm)
      if (advice.kind === 'unsure') {
        const { block, moveUm, uncertainUm, sagUm } = advice.unsure
        const settles = block === 'far' && advice.bends && !isUpright(t.axis) && sagUm <= uncertainUm / 2
        // A block that settles on a bent screw stands off by its bend.
        const bent = settles && isAsked(round) ? bentSaid(round, plane, targetUm, say) : null
        if (bent) return noAdvice(bent)
        const more = settles
          ? `With both blocks tight and the nut clamped near the fixed one, the screw bends between them and shows little of the far one. Run the nut up to the far block, slack the screws of that block, let it settle on the screw, and tighten it evenly while the gauge beside it stays; then read again.`
          : sagUm > uncertainUm / 2
            ? `Most of that is the sag of the screw by its own weight, which is known no better. Leave the block where it is, and read Drag along the travel: one that is off binds as the nut comes near it.`
            : `Read at places further apart, ${setting.ends === 'fixed-free' ? 'from the fixed block on' : 'near both blocks'}, or at more of them.`
        return {
          ...none,
          state: 'unknown',
          sentence: () =>
            `The ${block} block is off by ${small(Math.abs(moveUm))} ± ${small(uncertainUm)}, against ${target} accepted: these readings cannot tell. ${more}`,
        }
      }
      const absurd = advice.moves
        .map(({ block, moveUm }) => notMeant('shim', moveUm, `The ${block} block would be off by`, say))
        .find(one => one !== null)
      if (absurd) return absurd
      const largestUm = Math.max(...advice.moves.map(({ moveUm }) => Math.abs(moveUm)))
      const unsureUm = Math.max(...advice.moves.map(({ uncertainUm }) => uncertainUm))
      const [costly] = advice.moves.toSorted((a, b) => Math.abs(b.moveUm) - Math.abs(a.moveUm))
      const load =
        costly &&
        attempt(() => sideLoad(t, `line.${plane}.worth`, costly.moveUm, nearestMm(t)[costly.block])).value
      const worth = load
        ? ` Left so, the ${costly.block} block pushes the nut aside with about ${say(load.sideForceN, 'force', 0)} when it is nearest: ${lifeLeftWords(load.lifeShare, say)} of its life would be left.`
        : ''
      const beside =
        advice.kind === 'move' && advice.beside
          ? ` Of the ${advice.beside.block} block these readings cannot tell: off by ${small(Math.abs(advice.beside.moveUm))} ± ${small(advice.beside.uncertainUm)}.`
          : ''
      const only =
        round.tight === 'both' || setting.ends === 'fixed-free'
          ? ''
          : ` Of the ${round.tight === 'fixed' ? 'far' : 'fixed'} block, which is slack, this says nothing: bring it to the screw with the nut run up to it, tighten it evenly while the gauge beside it stays, and read with both tight.`
      if (advice.kind === 'move') {
        const bent = isAsked(round) ? bentSaid(round, plane, targetUm, say) : null
        if (bent) return noAdvice(bent)
      } else if (only) {
        return {
          ...noAdvice(''),
          sentence: () =>
            `The ${round.tight} block is within ${small(largestUm)} (± ${small(unsureUm)}) of the line.${only}`,
        }
      }
      const third = advice.unchecked
        ? ' Two readings always make a straight line: a third would check it.'
        : ''
      return {
        state: advice.kind === 'in-line' ? 'holds' : 'fails',
        figure: { value: largestUm, quantity: 'smallLength' },
        limit: { value: targetUm, quantity: 'smallLength' },
        use: largestUm / targetUm,
        sentence: () =>
          advice.kind === 'in-line'
            ? `${setting.ends === 'fixed-free' ? 'The fixed block is' : 'Both blocks are'} within ${small(largestUm)} (± ${small(unsureUm)}) of the line, against ${target} accepted.${third}`
            : `${advice.moves.map(move => `${moveInWords(plane === 'height' && isUpright(t.axis) ? 'out' : plane, move, say)} (± ${small(move.uncertainUm)})`).join('; ')}: more than the ${target} accepted.${beside}${worth}${third}${only}`,
      }
    },
    { column: plane === 'height' ? 'heightUm' : 'sideUm' },
  ),
})

/** A round that was closed before anybody could say these things is left as it was. */
const isAsked = ({ finishedAt, closedWith }: AlignRound) => finishedAt === null || closedWith !== null

/** What is to be known before any reading of a screw says something; nothing where it is. */
function askedOf({ tight, turnedTo, tipLifted }: AlignRound, { ends }: LineSetting): string | null {
  if (tight === null && ends !== 'fixed-free')
    return 'Say which blocks are tight: a screw between two tight blocks bends, and shows little of the one that is far from the nut.'
  if (tipLifted === null)
    return 'Push the tip in with a finger and say whether the dial reads more or less: read the other way, every block would be moved away from where it belongs.'
  if (turnedTo === null)
    return 'Say whether the screw was turned to its mark before each reading: one that is bent reads another way at every angle.'
  if (turnedTo === 'any')
    return 'Turn the screw to the same mark before each reading, and read again: one that is bent reads another way at every angle, and looks as if a block were off.'
  return null
}

/** A bend counts from this share of what is accepted. */
const BENT_SHARE = 1 / 2
/** By hand a dial does not come to the same mark. */
const SAME_UM = 4

/** What the place that reads most says with the screw half a turn on: nothing where it is straight there, as far as blocks are set. */
function bentSaid(round: AlignRound, plane: Plane, targetUm: number, say: Say): string | null {
  const small = (um: number) => say(um, 'smallLength')
  const key = plane === 'height' ? 'heightUm' : 'sideUm'
  const again = plane === 'height' ? round.halfTurnHeightUm : round.halfTurnSideUm
  const most = openStations({ closes }, round)
    .filter(one => one[key] !== null)
    .reduce((so, one) => (Math.abs(one[key] as number) > Math.abs(so[key] as number) ? one : so))
  if (again === null)
    return `Before a block is moved: turn the screw half a turn on, read once more at ${say(most.positionMm, 'length', 0)}, where it reads most, and put that in above. A screw that is bent looks as if a block were off.`
  const bentUm = Math.abs((most[key] as number) - again) / 2
  return bentUm <= Math.max(BENT_SHARE * targetUm, SAME_UM, round.gaugeStepUm ?? 0)
    ? null
    : `Half a turn on, it reads ${small(2 * bentUm)} otherwise at ${say(most.positionMm, 'length', 0)}: the screw is bent by ${small(bentUm)} there, and no block is off by that. Straighten it (see Run-out), or read every place at both angles and put in the mean of the two.`
}

/** Whether the screw's own weight is taken out of the readings. */
const sagWords = ({ rootDiameterMm }: LineSetting, plane: Plane): string =>
  plane === 'side'
    ? ''
    : rootDiameterMm === null
      ? ', with the sag of a long screw still in it'
      : ', with its own sag taken out'

export const SCREW_LINE_CHECKS = defineChecks({
  'align.height': alignCheck('height'),
  'align.side': alignCheck('side'),
})
