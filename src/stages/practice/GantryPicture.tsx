import { chakra } from '@chakra-ui/react'
import type { TrainingBench } from '@/core/practice/trainer/trainingBench'
import type { UnitSystem } from '@/core/units/quantity'
import { Note } from '@/ui/Note'
import { setWords } from './words'

/** One side is drawn moved by so much more than it is. */
const PX_PER_UM = 0.02
const MOST_PX = 24
/** The carriage at either end of the edge. */
const [LEFT_PX, RIGHT_PX] = [250, 470]

/** A gantry from above: its carriage runs an indicator along the edge of a square, which lies on the table. */
export function GantryPicture({ bench, units }: { bench: TrainingBench; units: UnitSystem }) {
  const { noted, settings } = bench
  const isTurned = noted.at(-1)?.isTurned ?? false
  const offPx = Math.max(-MOST_PX, Math.min(MOST_PX, PX_PER_UM * settings.side))
  // Each reading runs along the edge once.
  const x = noted.length % 2 === 0 ? LEFT_PX : RIGHT_PX
  const legAt = isTurned ? RIGHT_PX : LEFT_PX - 10
  return (
    <>
      <chakra.svg
        viewBox="0 0 720 226"
        width="100%"
        role="img"
        aria-label={`The gantry from above, the square ${isTurned ? 'turned over' : 'as it lies'}. ${setWords('side', settings, units)}`}
        data-machine
      >
        <rect
          x="24"
          y="8"
          width="672"
          height="210"
          rx="4"
          fill="var(--dusk-colors-sunken)"
          stroke="var(--dusk-colors-line)"
        />
        <rect x="34" y="14" width="14" height="198" fill="var(--dusk-colors-steel)" />
        <rect x="672" y="14" width="14" height="198" fill="var(--dusk-colors-steel)" />
        <path
          d={`M${LEFT_PX - 10} 112 H${RIGHT_PX + 10} V94 H${legAt + 20} V26 H${legAt} V94 H${LEFT_PX - 10} Z`}
          fill="var(--dusk-colors-brass)"
        />
        <g style={{ transition: 'transform 400ms' }} transform={`rotate(${(-offPx / 640) * 57.3} 41 170)`}>
          <rect x="26" y="152" width="668" height="34" rx="4" fill="var(--dusk-colors-casting)" />
          <g style={{ transition: 'transform 800ms', transform: `translateX(${x}px)` }}>
            <rect x="-26" y="146" width="52" height="46" rx="4" fill="var(--dusk-colors-steel-dark)" />
            <circle
              cx="0"
              cy="140"
              r="12"
              fill="var(--dusk-colors-field)"
              stroke="var(--dusk-colors-edge)"
              strokeWidth="3"
            />
            <path d="M0 112 L-5 126 L5 126 Z" fill="var(--dusk-colors-lamp)" />
          </g>
        </g>
        <text x="668" y="206" textAnchor="end" fontSize="15" fill="var(--dusk-colors-ink)">
          this side is moved ↕
        </text>
      </chakra.svg>
      <Note fontSize="13px" textAlign="center">
        From above. What the side was moved by is drawn about 20 times as large; how the gantry stands is not
        drawn.
      </Note>
    </>
  )
}
