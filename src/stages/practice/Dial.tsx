import { chakra } from '@chakra-ui/react'
import { type RefObject, useMemo } from 'react'
import { printNumber } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'

/** One turn of the needle, in um: two tenths of a millimetre, or ten thousandths of an inch. */
export const DIAL_TURN_UM: Readonly<Record<UnitSystem, number>> = { mm: 200, inch: 254 }
const UNIT_UM: Readonly<Record<UnitSystem, { um: number; name: string }>> = {
  mm: { um: 1, name: 'µm' },
  inch: { um: 25.4, name: '0.001 in' },
}
const MARKS = 100
const NUMBERED = 10
const R = 92

const at = (share: number, radius: number) => {
  const angle = 2 * Math.PI * share
  return [100 + radius * Math.sin(angle), 100 - radius * Math.cos(angle)] as const
}

interface Props {
  units: UnitSystem
  needle: RefObject<SVGGElement | null>
  turns: RefObject<SVGGElement | null>
  /** What it shows, for whoever does not see it. */
  said: string
}

/** The dial of an indicator. It is numbered both ways from zero; the small hand counts its turns. */
export function Dial({ units, needle, turns, said }: Props) {
  const face = useMemo(() => <Face units={units} />, [units])
  return (
    <chakra.svg
      viewBox="0 0 200 200"
      role="img"
      aria-label={said}
      width="100%"
      maxW="230px"
      mx="auto"
      data-dial
    >
      {face}
      <g ref={turns} stroke="var(--dusk-colors-quiet)" strokeWidth="2">
        <line x1="100" y1="135" x2="100" y2="122" />
      </g>
      <g ref={needle} stroke="var(--dusk-colors-lamp)" strokeWidth="2.5" strokeLinecap="round">
        <line x1="100" y1="116" x2="100" y2="24" />
      </g>
      <circle cx="100" cy="100" r="5" fill="var(--dusk-colors-lamp)" />
    </chakra.svg>
  )
}

function Face({ units }: { units: UnitSystem }) {
  const { um, name } = UNIT_UM[units]
  const each = DIAL_TURN_UM[units] / um / NUMBERED
  return (
    <>
      <circle
        cx="100"
        cy="100"
        r={R + 5}
        fill="var(--dusk-colors-field)"
        stroke="var(--dusk-colors-edge)"
        strokeWidth="3"
      />
      {Array.from({ length: MARKS }, (_, index) => {
        const long = index % (MARKS / NUMBERED) === 0
        const middle = index % (MARKS / NUMBERED / 2) === 0
        const [x1, y1] = at(index / MARKS, R)
        const [x2, y2] = at(index / MARKS, R - (long ? 13 : middle ? 9 : 6))
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: marks never change their order
            key={index}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke="var(--dusk-colors-ink)"
            strokeWidth={long ? 2 : 1}
          />
        )
      })}
      {Array.from({ length: NUMBERED }, (_, index) => {
        // Both ways from zero, as far as half a turn.
        const both = index <= NUMBERED / 2 ? index : index - NUMBERED
        const [x, y] = at(index / NUMBERED, R - 23)
        return (
          <text
            // biome-ignore lint/suspicious/noArrayIndexKey: as the marks
            key={index}
            x={x}
            y={y + 4.5}
            textAnchor="middle"
            fontSize="13"
            fill="var(--dusk-colors-ink)"
          >
            {both < 0 ? `−${printNumber(-both * each)}` : printNumber(both * each)}
          </text>
        )
      })}
      <circle cx="100" cy="130" r="14" fill="none" stroke="var(--dusk-colors-line)" />
      <text x="100" y="156" textAnchor="middle" fontSize="11" fill="var(--dusk-colors-quiet)">
        {name}
      </text>
    </>
  )
}
