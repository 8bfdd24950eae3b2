import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import type { CircleRound } from '@/core/sheets/circle/model'
import { measuredSquare } from '@/core/sheets/circle/rounds'
import { say } from '@/core/units/print'
import { chartColors } from '@/ui/chart/chartColors'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** So much a corner is shifted in the drawing, at most. */
const MOST_PX = 34
const SIDE_PX = 120

/** The square as it came out, its lean drawn many times larger, over the true one. */
export function Sheared({ round }: { round: CircleRound }) {
  const context = useSettledEvaluation()
  const found = attempt(() => measuredSquare(context, round)).value
  if (!found) return null
  const { axis, units } = context
  const { umPerM, uncertainUmPerM } = found
  const offUm = (umPerM * round.sideMm) / 1000
  const uncertainUm = (uncertainUmPerM * round.sideMm) / 1000
  const size = Math.min(MOST_PX, MOST_PX * Math.min(1, Math.abs(umPerM) / (2 * round.acceptedUmPerM)))
  const lean = Math.sign(umPerM) * size
  const [left, top] = [60, 20]
  const [right, bottom] = [left + SIDE_PX, top + SIDE_PX]
  const small = (um: number) => say(um, 'smallLength', units)
  const said = `${small(Math.abs(offUm))} ± ${small(uncertainUm)} over ${say(round.sideMm, 'length', units, 1)}`
  return (
    <chakra.figure maxW="320px">
      <svg
        viewBox="0 0 240 175"
        role="img"
        aria-label={`The square as it came out, leaning by ${said}, drawn many times larger over the true one`}
        style={{ width: '100%' }}
      >
        <rect
          x={left}
          y={top}
          width={SIDE_PX}
          height={SIDE_PX}
          fill="none"
          stroke={chartColors.quiet}
          strokeDasharray="4 3"
        />
        <polygon
          points={`${left},${bottom} ${right},${bottom} ${right + lean},${top} ${left + lean},${top}`}
          fill="none"
          stroke={chartColors.lamp}
          strokeWidth={2.2}
        />
        <line
          x1={left}
          y1={bottom}
          x2={right + lean}
          y2={top}
          stroke={chartColors.ink}
          strokeDasharray="2 4"
        />
        <line
          x1={right}
          y1={bottom}
          x2={left + lean}
          y2={top}
          stroke={chartColors.ink}
          strokeDasharray="2 4"
        />
        <text x={left + SIDE_PX / 2} y={bottom + 16} textAnchor="middle" fill={chartColors.ink} fontSize={12}>
          {axis.name}+
        </text>
        <text x={left - 8} y={top + 8} textAnchor="end" fill={chartColors.ink} fontSize={12}>
          {round.otherAxis ?? 'other'}+
        </text>
      </svg>
      <chakra.figcaption fontSize="13px">Square as it came out, lean drawn larger: {said}.</chakra.figcaption>
    </chakra.figure>
  )
}
