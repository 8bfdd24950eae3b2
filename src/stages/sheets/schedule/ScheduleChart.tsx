import { Scatter, ScatterChart, usePlotArea, XAxis, YAxis } from 'recharts'
import { DAY_MINUTES, dateAt, type Now } from '@/core/planning/days'
import { nameOf, type Placed, stretches } from '@/core/planning/entries'
import type { Window } from '@/core/schedule/calendar'
import { shortDayWords } from '@/core/units/dateWords'
import { ChartFrame } from '@/ui/chart/ChartFrame'
import { chartColors } from '@/ui/chart/chartColors'
import { spanWords } from '../../job/plan/planWords'

interface Props {
  placed: readonly Placed[]
  windows: readonly Window[]
  now: Now
  finishMinute: number
  axes: readonly string[]
}

const LANE_PX = 40
const LEAST_BAR_PX = 2
const MOST_TICKS = 8
const MACHINE = 'all'

/** The plan over the calendar: a lane an axis, and one for what concerns the whole machine. */
export function ScheduleChart({ placed, windows, now, finishMinute, axes }: Props) {
  const lanes = [...axes, ...(placed.some(({ task }) => !task.axisName) ? [MACHINE] : [])]
  const days = Math.ceil((finishMinute + 1) / DAY_MINUTES)
  const step = Math.max(1, Math.ceil(days / MOST_TICKS))
  const ticks = Array.from({ length: Math.floor(days / step) + 1 }, (_, index) => index * step)
  return (
    <ChartFrame
      label="Chart of the plan over the calendar; its tasks are in the table below"
      heightPx={50 + LANE_PX * lanes.length}
      series={1}
    >
      {({ has, series }) => (
        <ScatterChart margin={{ top: 4, right: 34, bottom: 4, left: 4 }} accessibilityLayer={false}>
          {has('across') && (
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, days]}
              ticks={ticks}
              interval={0}
              stroke={chartColors.quiet}
              tickFormatter={day => shortDayWords(dateAt(now.day, Number(day) * DAY_MINUTES))}
            />
          )}
          {has('up') && (
            <YAxis
              dataKey="lane"
              type="number"
              domain={[0, lanes.length]}
              ticks={lanes.map((_, index) => lanes.length - index - 0.5)}
              interval={0}
              width={36}
              stroke={chartColors.ink}
              tickFormatter={lane => lanes[lanes.length - Math.ceil(Number(lane))] ?? ''}
            />
          )}
          {series > 0 && <Scatter data={[{ day: 0, lane: 0 }]} fill="none" isAnimationActive={false} />}
          {series > 0 && <Bars placed={placed} windows={windows} now={now} lanes={lanes} days={days} />}
        </ScatterChart>
      )}
    </ChartFrame>
  )
}

interface BarsProps extends Pick<Props, 'placed' | 'windows' | 'now'> {
  lanes: readonly string[]
  days: number
}

/** How much of its lane a bar takes up. */
const heightOf = ({ way, holdsEnd }: Placed) => (way.waits ? 0.16 : holdsEnd ? 0.78 : 0.44)
const colorOf = ({ way, holdsEnd }: Placed) =>
  holdsEnd ? chartColors.lamp : way.waits ? chartColors.unknown : chartColors.brass

function Bars({ placed, windows, now, lanes, days }: BarsProps) {
  const area = usePlotArea()
  if (!area) return null
  const at = (minute: number) => area.x + (area.width * minute) / (days * DAY_MINUTES)
  const laneHeight = area.height / lanes.length
  /** What waits lies beside one another, so that each is seen. */
  const waiting = new Map<string, number>()
  return (
    <g>
      {windows
        .filter(({ fromMinute }) => fromMinute < days * DAY_MINUTES)
        .map(({ fromMinute, toMinute }) => (
          <rect
            key={fromMinute}
            x={at(fromMinute)}
            y={area.y}
            width={Math.max(1, at(toMinute) - at(fromMinute))}
            height={area.height}
            fill={chartColors.line}
            fillOpacity={0.7}
          />
        ))}
      {lanes.map((lane, index) => (
        <line
          key={lane}
          x1={area.x}
          x2={area.x + area.width}
          y1={area.y + index * laneHeight}
          y2={area.y + index * laneHeight}
          stroke={chartColors.line}
        />
      ))}
      {placed.map(one => {
        const { key, task, way, beginMinute, finishMinute } = one
        const lane = task.axisName ?? MACHINE
        const index = lanes.indexOf(lane)
        const height = laneHeight * heightOf(one)
        const nth = waiting.get(lane) ?? 0
        if (way.waits) waiting.set(lane, nth + 1)
        const offset = way.waits ? laneHeight * (0.06 + 0.2 * (nth % 4)) : (laneHeight - height) / 2
        const top = area.y + index * laneHeight + offset
        const bars = way.waits
          ? [{ fromMinute: beginMinute, toMinute: finishMinute }]
          : stretches(one, windows)
        return (
          <g key={key}>
            <title>{`${nameOf(task)}, ${spanWords(now.day, beginMinute, finishMinute)}`}</title>
            {bars.length > 1 && (
              <line
                x1={at(beginMinute)}
                x2={at(finishMinute)}
                y1={top + height / 2}
                y2={top + height / 2}
                stroke={colorOf(one)}
              />
            )}
            {bars.map(({ fromMinute, toMinute }) => (
              <rect
                key={fromMinute}
                x={at(fromMinute)}
                y={top}
                width={Math.max(LEAST_BAR_PX, at(toMinute) - at(fromMinute))}
                height={height}
                rx={1}
                fill={colorOf(one)}
                stroke={chartColors.panel}
                strokeWidth={0.5}
              />
            ))}
          </g>
        )
      })}
      <line
        x1={at(now.minute)}
        x2={at(now.minute)}
        y1={area.y}
        y2={area.y + area.height}
        stroke={chartColors.ink}
        strokeDasharray="4 3"
      />
    </g>
  )
}
