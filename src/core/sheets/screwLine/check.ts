import { attempt } from '../../evaluation/attempt'
import { type Check, defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { NotKnown } from '../../evaluation/notKnown'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { finely } from '../shared/rounds/roundFinding'
import { nearestMm, sideLoad } from '../shared/rounds/sideLoad'
import { lifeLeftWords } from '../shared/rounds/worth'
import { screwLine } from './calculation'
import { isUpright, judgePlane, type LineSetting, lineInputs, lineSetting, type Plane } from './judgePlane'
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
  return `${[first, `the ${move.block} block`, ...rest].join(' ')} by ${say(finely(Math.abs(move.moveUm)), 'smallLength')}`
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
      if (inputs) t.figure(`line.${plane}`, screwLine, inputs)
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
        const { block, moveUm, uncertainUm } = advice.unsure
        return {
          ...none,
          state: 'unknown',
          sentence: () =>
            `The ${block} block is off by ${small(Math.abs(moveUm))} ± ${small(uncertainUm)}, against ${target} accepted: these readings cannot tell. Read at places further apart, ${setting.ends === 'fixed-free' ? 'from the fixed block on' : 'near both blocks'}, or at more of them.`,
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
            : `${advice.moves.map(move => `${moveInWords(plane === 'height' && isUpright(t.axis) ? 'out' : plane, move, say)} (± ${small(move.uncertainUm)})`).join('; ')}: more than the ${target} accepted.${worth}${third}`,
      }
    },
    { column: plane === 'height' ? 'heightUm' : 'sideUm' },
  ),
})

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
