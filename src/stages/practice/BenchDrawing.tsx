import { chakra } from '@chakra-ui/react'
import { useCallback, useId, useMemo, useRef } from 'react'
import type { GaugePlace, TrainingBench } from '@/core/practice/trainer/trainingBench'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Note } from '@/ui/Note'
import { DIAL_TURN_UM, Dial } from './Dial'
import { GantryPicture } from './GantryPicture'
import { type Pose, useMoving } from './useMoving'

/** The travel in the picture, and how much larger than it what the table lags is drawn. */
const [FIRST_PX, LAST_PX] = [190, 560]
const PX_PER_UM = 0.15
const MOST_OFF_PX = 13
const PITCH_PX = 11
const SHAFT_Y = 132
const DEG_PER_TURN = 360

interface Props {
  bench: TrainingBench
  units: UnitSystem
  /** Whether its indicator is looked at; what the hand feels else is written beside it. */
  hasDial: boolean
  /** What the dial shows where no indicator stands on the machine: what was rocked last. */
  shownUm?: number
  /** A gantry from above, in place of a drive from the side. */
  isGantry?: boolean
}

/** The drive from the side, as it stands and goes: screw, nut, table, and the indicator that is read. */
export function BenchDrawing({ bench, units, hasDial, shownUm, isGantry = false }: Props) {
  const { travelMm, leadMm } = bench.setup.figures
  const id = useId()
  const nut = useRef<SVGGElement>(null)
  const table = useRef<SVGGElement>(null)
  const needle = useRef<SVGGElement>(null)
  const turns = useRef<SVGGElement>(null)
  const mark = useRef<SVGGElement>(null)
  const threads = useRef<SVGPatternElement>(null)
  const pose = usePose(bench, shownUm)
  const draw = useCallback(
    ({ commandMm, tableOffUm, halfTurns, needleUm }: Pose) => {
      const xPx = xOf(commandMm, travelMm)
      const offPx = Math.min(MOST_OFF_PX, Math.max(-MOST_OFF_PX, PX_PER_UM * tableOffUm))
      const turned = commandMm / leadMm + halfTurns / 2
      nut.current?.setAttribute('transform', `translate(${xPx} 0)`)
      table.current?.setAttribute('transform', `translate(${xPx + offPx} 0)`)
      threads.current?.setAttribute('patternTransform', `translate(${(turned * PITCH_PX) % PITCH_PX} 0)`)
      mark.current?.setAttribute(
        'transform',
        `rotate(${(turned * DEG_PER_TURN) % DEG_PER_TURN} 46 ${SHAFT_Y})`,
      )
      const share = needleUm === null ? null : needleUm / DIAL_TURN_UM[units]
      needle.current?.setAttribute('transform', `rotate(${DEG_PER_TURN * (share ?? NO_NEEDLE)} 100 100)`)
      needle.current?.setAttribute('opacity', share === null ? '0.35' : '1')
      turns.current?.setAttribute('transform', `rotate(${(DEG_PER_TURN / 10) * (share ?? 0)} 100 130)`)
    },
    [travelMm, leadMm, units],
  )
  useMoving(pose, draw)
  const reads =
    pose.needleUm === null
      ? 'The tip touches nothing'
      : `The needle: ${say(pose.needleUm, 'smallLength', units)}`
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', md: hasDial ? 'minmax(0, 1fr) 210px' : '1fr' }}
      alignItems="center"
    >
      <div>
        {isGantry ? (
          <GantryPicture bench={bench} units={units} />
        ) : (
          <>
            <chakra.svg
              viewBox="0 0 720 226"
              width="100%"
              role="img"
              aria-label={`The drive from the side: the slide was sent to ${say(bench.sentToMm, 'length', units)} of ${say(travelMm, 'length', units)}`}
              data-machine
            >
              <pattern
                ref={threads}
                id={`${id}threads`}
                width={PITCH_PX}
                height="18"
                patternUnits="userSpaceOnUse"
                y={SHAFT_Y - 9}
              >
                <rect width={PITCH_PX} height="18" fill="var(--dusk-colors-steel)" />
                <path d={`M0 18 L${PITCH_PX / 2} 0`} stroke="var(--dusk-colors-steel-dark)" strokeWidth="3" />
              </pattern>
              <rect x="8" y="196" width="704" height="18" rx="3" fill="var(--dusk-colors-casting)" />
              <rect x="14" y="98" width="64" height="68" rx="5" fill="var(--dusk-colors-motor-body)" />
              <g ref={mark}>
                <circle cx="46" cy={SHAFT_Y} r="15" fill="var(--dusk-colors-steel)" />
                <line
                  x1="46"
                  y1={SHAFT_Y}
                  x2="46"
                  y2={SHAFT_Y - 14}
                  stroke="var(--dusk-colors-lamp)"
                  strokeWidth="4"
                />
              </g>
              <rect x="78" y={SHAFT_Y - 6} width="34" height="12" fill="var(--dusk-colors-steel-dark)" />
              <rect x="84" y={SHAFT_Y - 13} width="22" height="26" rx="3" fill="var(--dusk-colors-brass)" />
              <rect x="136" y={SHAFT_Y - 9} width="476" height="18" fill={`url(#${id}threads)`} />
              <rect x="112" y="100" width="26" height="96" rx="3" fill="var(--dusk-colors-casting)" />
              <rect x="612" y="100" width="26" height="96" rx="3" fill="var(--dusk-colors-casting)" />
              <rect x="638" y={SHAFT_Y - 6} width="14" height="12" fill="var(--dusk-colors-steel-dark)" />
              <g ref={nut}>
                <rect
                  x="-22"
                  y={SHAFT_Y - 20}
                  width="44"
                  height="40"
                  rx="3"
                  fill="var(--dusk-colors-brass)"
                />
              </g>
              <g ref={table}>
                <rect x="-96" y="62" width="192" height="26" rx="3" fill="var(--dusk-colors-steel-dark)" />
                <path
                  d={`M-54 88 V${SHAFT_Y + 26} H-37 V${SHAFT_Y - 26} H37 V${SHAFT_Y + 26} H54 V88 Z`}
                  fill="var(--dusk-colors-steel-dark)"
                />
                <Push newtons={bench.pushedByN} units={units} />
              </g>
              {bench.gaugeAt === 'slide' ? (
                bench.setup.gaugesAtMm.map(mm => <Tip key={mm} x={xOf(mm, travelMm) + 96} y={75} />)
              ) : (
                <Tip {...TIP_AT[bench.gaugeAt]} />
              )}
            </chakra.svg>
            <Note fontSize="13px" textAlign="center">
              From the side. What the table lags behind its nut is drawn about 160 times as large.
            </Note>
          </>
        )}
      </div>
      {hasDial && <Dial units={units} needle={needle} turns={turns} said={reads} />}
    </chakra.div>
  )
}

const xOf = (mm: number, travelMm: number) => FIRST_PX + ((LAST_PX - FIRST_PX) * mm) / travelMm
/** A needle that nothing presses hangs here. */
const NO_NEEDLE = -0.4

const TIP_AT: Readonly<Record<Exclude<GaugePlace, 'slide'>, { x: number; y: number; isDown?: boolean }>> = {
  screwEnd: { x: 652, y: SHAFT_Y },
  block: { x: 138, y: 112 },
  nutFlange: { x: 400, y: SHAFT_Y },
  nearLine: { x: 162, y: SHAFT_Y - 9, isDown: true },
  farLine: { x: 588, y: SHAFT_Y - 9, isDown: true },
}

/** An indicator with its tip on something: it comes from the right, or from above. */
const Tip = ({ x, y, isDown }: { x: number; y: number; isDown?: boolean }) => (
  <g transform={`translate(${x} ${y}) ${isDown ? 'rotate(-90)' : ''}`}>
    <path d="M0 0 L10 -4 L10 4 Z" fill="var(--dusk-colors-lamp)" />
    <line x1="10" y1="0" x2="26" y2="0" stroke="var(--dusk-colors-edge)" strokeWidth="4" />
    <circle
      cx="36"
      cy="0"
      r="12"
      fill="var(--dusk-colors-field)"
      stroke="var(--dusk-colors-edge)"
      strokeWidth="3"
    />
  </g>
)

/** The hand's push: an arrow on the table. */
function Push({ newtons, units }: { newtons: number; units: UnitSystem }) {
  if (newtons === 0) return null
  const way = newtons > 0 ? 1 : -1
  return (
    <g>
      <path
        d={`M${-40 * way} 46 H${24 * way} M${10 * way} 36 L${26 * way} 46 L${10 * way} 56`}
        fill="none"
        stroke="var(--dusk-colors-lamp)"
        strokeWidth="5"
      />
      <text x="0" y="30" textAnchor="middle" fontSize="17" fontWeight="700" fill="var(--dusk-colors-ink)">
        {say(Math.abs(newtons), 'force', units)}
      </text>
    </g>
  )
}

/** How the machine stands; the same for the same bench. */
const usePose = (bench: TrainingBench, shownUm: number | undefined): Pose =>
  useMemo(
    () => ({
      commandMm: bench.sentToMm,
      tableOffUm: bench.tableOffUm,
      halfTurns: bench.halfTurned,
      needleUm: shownUm ?? bench.needleUm,
    }),
    [bench, shownUm],
  )
