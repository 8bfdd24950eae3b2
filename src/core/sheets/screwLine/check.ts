import { type Check, defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { screwLine } from './calculation'
import { judgePlane, lineInputs, type Plane } from './judgeRound'

const DIRECTION: Record<Plane, [grows: string, shrinks: string]> = {
  height: ['Raise', 'Lower'],
  side: ['Shift towards you', 'Shift away from you'],
}

/** One move in words: "Raise the far block by 60 µm". */
export function moveInWords(
  plane: Plane,
  move: { block: 'fixed' | 'far'; moveUm: number },
  say: Say,
): string {
  const [grows, shrinks] = DIRECTION[plane]
  const verb = move.moveUm >= 0 ? grows : shrinks
  const [first = '', ...rest] = verb.split(' ')
  return `${[first, `the ${move.block} block`, ...rest].join(' ')} by ${say(Math.abs(move.moveUm), 'smallLength')}`
}

const alignCheck = (plane: Plane): Check => ({
  title: plane === 'height' ? 'Screw line in height' : 'Screw line to the side',
  subject: 'line',
  judge(t, say): Judgement | null {
    const round = t.axis.rounds.at(-1)
    if (!round) return null
    const spanMm = t.dimension('supportSpanMm')
    const targetUm = t.axis.goals.alignmentTargetUm
    const inputs = lineInputs(round, plane, spanMm)
    if (inputs) t.figure(`line.${plane}`, screwLine, inputs)
    const advice = judgePlane(round, plane, spanMm, targetUm)
    const none = { figure: null, limit: null, use: null }
    if (advice.kind === 'too-few')
      return { ...none, state: 'unknown', sentence: 'Read the screw at two or more places in this plane.' }
    const bent = say(advice.line.worstResidualUm, 'smallLength')
    if (advice.kind === 'poor')
      return {
        ...none,
        state: 'unknown',
        sentence: `No advice: a reading lies ${bent} off the straight line, too much against the corrections. Read again; if it stays, the screw is bent: roll it on the bed to see.`,
      }
    const largestUm = Math.max(...advice.moves.map(({ moveUm }) => Math.abs(moveUm)))
    const third = advice.unchecked ? ' Two readings always make a straight line: a third would check it.' : ''
    const target = say(targetUm, 'smallLength')
    return {
      state: advice.kind === 'in-line' ? 'holds' : largestUm <= 2 * targetUm ? 'close' : 'fails',
      figure: { value: largestUm, quantity: 'smallLength' },
      limit: { value: targetUm, quantity: 'smallLength' },
      use: largestUm / targetUm,
      sentence:
        advice.kind === 'in-line'
          ? `Both blocks are within ${say(largestUm, 'smallLength')} of the line, against ${target} accepted.${third}`
          : `${advice.moves.map(move => moveInWords(plane, move, say)).join('; ')}: more than the ${target} accepted.${third}`,
    }
  },
})

export const SCREW_LINE_CHECKS = defineChecks({
  'align.height': alignCheck('height'),
  'align.side': alignCheck('side'),
})
