import { chakra } from '@chakra-ui/react'
import { useEffect, useId, useRef, useState } from 'react'
import type { DrivePart, DriveLine as Line } from '@/core/drawing/driveLine'
import type { Bend, Mark, Span, Zone } from '@/core/drawing/overlay'
import { StateShape } from '../verdicts/StateMark'
import { type LaidSpan, laySpans, type Placed, placeMarks } from './marks'
import { Part } from './Part'

const color = (token: string) => `var(--dusk-colors-${token})`

/** A width below this is that of a panel that is not laid out yet. */
const NARROWEST_PX = 120
const MARK_ROW_PX = 24
const SPAN_ROW_PX = 24
/** The drive is drawn no higher than this, so that a sheet has its room below it. */
const MOST_HIGH_PX = 116

interface Props {
  line: Line
  title: string
  /** What each part is called, as in "Ball screw 20 x 5". */
  names: Record<DrivePart, string>
  marks: Mark[]
  spans: Span[]
  zones: Zone[]
  bend: Bend | null
  picked: DrivePart | null
  onPick: (part: DrivePart | null) => void
  /** Runs the nut by a share of its travel; left out where the travel is not known. */
  onRun?: (byShare: number) => void
}

/** The side elevation of the drive, to scale, with the findings of the stage on it. A view, not a canvas. */
export function DriveLine({ line, title, names, marks, spans, zones, bend, picked, onPick, onRun }: Props) {
  const [ref, widthPx] = useWidth()
  // One stop of the Tab key for the whole drawing: the arrows go from part to part.
  const [stop, setStop] = useState<DrivePart>('nut')
  const rows = marks.length > 3 ? 2 : marks.length > 0 ? 1 : 0
  const lengthMm = line.rightMm - line.leftMm
  const heightMm = line.topMm - line.bottomMm
  const scale = Math.min((widthPx - 16) / lengthMm, MOST_HIGH_PX / heightMm)
  const top = rows * MARK_ROW_PX + 10
  const left = (widthPx - lengthMm * scale) / 2
  const x = (mm: number) => left + (mm - line.leftMm) * scale
  const laid = laySpans(spans, x, widthPx)
  const spanRows = Math.max(-1, ...laid.map(({ row }) => row)) + 1
  const bottom = (spanRows + (bend ? 1 : 0)) * SPAN_ROW_PX + 6
  const heightPx = heightMm * scale + top + bottom
  const y = (mm: number) => top + (line.topMm - mm) * scale
  const travelMm = line.limits ? Math.max(1, line.limits.lastMm - line.limits.firstMm) : 1
  const parts = [...new Set(line.boxes.map(box => box.part))]
  const boxesOf = (part: DrivePart) => line.boxes.filter(box => box.part === part)
  const middle = (part: DrivePart) => {
    const own = part === 'way' || part === 'screw' ? boxesOf(part).slice(-1) : boxesOf(part)
    const from = Math.min(...own.map(box => box.xMm))
    const to = Math.max(...own.map(box => box.xMm + box.widthMm))
    return part === 'screw' ? x(line.spanMm * 0.8) : x((from + to) / 2)
  }
  // What is not drawn has no place for a mark.
  const placed = placeMarks(
    marks.filter(({ part }) => parts.includes(part)),
    middle,
    widthPx,
    rows,
  )
  const topOf = (part: DrivePart) => y(Math.max(...boxesOf(part).map(box => box.yMm + box.heightMm)))

  return (
    <chakra.div ref={ref} width="100%" minW="0">
      {widthPx > NARROWEST_PX && (
        // biome-ignore lint/a11y/useSemanticElements: a drawing is no fieldset
        <svg width={widthPx} height={heightPx} role="group" aria-label={title} data-drive-line>
          {parts.map(part => (
            <Part
              key={part}
              isStop={part === (parts.includes(stop) ? stop : parts[0])}
              onStep={by => setStop(parts[(parts.indexOf(part) + by + parts.length) % parts.length] ?? part)}
              part={part}
              name={names[part]}
              boxes={boxesOf(part)}
              leadMm={line.leadMm}
              x={x}
              y={y}
              scale={scale}
              picked={picked === part}
              onPick={() => onPick(picked === part ? null : part)}
              onRun={part === 'nut' && onRun ? px => onRun(px / scale / travelMm) : undefined}
            />
          ))}
          <line
            x1={x(line.leftMm)}
            x2={x(line.rightMm)}
            y1={y(0)}
            y2={y(0)}
            stroke={color('quiet')}
            strokeDasharray="10 3 2 3"
            strokeWidth={0.7}
            pointerEvents="none"
          />
          {zones.map(zone => (
            <ZoneBand
              key={zone.fromMm}
              from={x(zone.fromMm)}
              to={x(zone.toMm)}
              y={y(0)}
              halfPx={line.nutRadiusMm * scale}
            />
          ))}
          {bend && (
            <BendLine bend={bend} from={x(0)} to={x(line.spanMm)} y={y(0)} labelY={heightPx - bottom + 16} />
          )}
          {placed.map(mark => (
            <line
              key={mark.part + mark.text}
              x1={mark.anchorX}
              y1={2 + mark.row * MARK_ROW_PX}
              x2={mark.anchorX}
              y2={topOf(mark.part)}
              stroke={color(mark.state ?? 'edge')}
              strokeWidth={1}
              pointerEvents="none"
            />
          ))}
          {placed.map(mark => (
            <MarkLabel key={mark.part + mark.text} mark={mark} />
          ))}
          {laid.map(span => (
            <SpanLine
              key={`${span.fromMm} ${span.label}`}
              span={span}
              y={heightPx - bottom + 12 + span.row * SPAN_ROW_PX}
            />
          ))}
        </svg>
      )}
    </chakra.div>
  )
}

function MarkLabel({ mark }: { mark: Placed }) {
  return (
    <g transform={`translate(${mark.x} ${2 + mark.row * MARK_ROW_PX})`} pointerEvents="none">
      <rect
        x={-3}
        y={0}
        width={mark.width + 6}
        height={20}
        rx={4}
        fill={color('panel')}
        stroke={color(mark.state ?? 'edge')}
      />
      {mark.state && (
        <svg x={2} y={3} width={14} height={14} viewBox="0 0 18 18" aria-hidden="true">
          <StateShape state={mark.state} />
        </svg>
      )}
      <text x={mark.state ? 21 : 3} y={14.5} fontSize={13} fill={color('ink')}>
        {mark.text}
      </text>
    </g>
  )
}

/** Hatched, as high as the nut: where its faces do not come. */
function ZoneBand({ from, to, y, halfPx }: { from: number; to: number; y: number; halfPx: number }) {
  const id = useId()
  return (
    <g pointerEvents="none" data-zone>
      <pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line y2={6} stroke={color('close')} strokeWidth={3} />
      </pattern>
      <rect
        x={from}
        y={y - halfPx}
        width={Math.max(1, to - from)}
        height={2 * halfPx}
        fill={`url(#${id})`}
        stroke={color('close')}
      />
    </g>
  )
}

function SpanLine({ span, y }: { span: LaidSpan; y: number }) {
  const { fromPx, toPx, labelPx, halfPx, tone, label } = span
  return (
    <g pointerEvents="none" stroke={color(tone)}>
      <path
        d={`M${fromPx} ${y - 7}v14M${toPx} ${y - 7}v14M${fromPx} ${y}H${toPx}`}
        strokeWidth={1.4}
        fill="none"
      />
      <rect
        x={labelPx - halfPx}
        y={y - 9}
        width={halfPx * 2}
        height={18}
        fill={color('panel')}
        stroke="none"
      />
      <text x={labelPx} y={y + 4.5} fontSize={13} textAnchor="middle" fill={color(tone)} stroke="none">
        {label}
      </text>
    </g>
  )
}

/** Enlarged so that the worst block stands a finger's width off. */
const BEND_PX = 22

interface BendProps {
  bend: Bend
  from: number
  to: number
  y: number
  labelY: number
}

function BendLine({ bend, from, to, y, labelY }: BendProps) {
  const largest = Math.max(Math.abs(bend.fixedUm), Math.abs(bend.farUm), 1)
  const offset = (um: number) => (-um / largest) * BEND_PX
  return (
    <g pointerEvents="none">
      <line
        x1={from}
        y1={y + offset(bend.fixedUm)}
        x2={to}
        y2={y + offset(bend.farUm)}
        stroke={color('lamp')}
        strokeWidth={2.5}
        strokeDasharray="8 5"
      />
      <text x={(from + to) / 2} y={labelY} fontSize={13} textAnchor="middle" fill={color('lamp')}>
        {bend.label}
      </text>
    </g>
  )
}

function useWidth() {
  const ref = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry?.contentRect.width ?? 0)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return [ref, width] as const
}
