import { type KeyboardEvent, type PointerEvent, useEffect, useRef } from 'react'
import type { Box, DrivePart } from '@/core/drawing/driveLine'

const FILLS: Record<Box['role'] | 'motor' | 'coupler', string> = {
  body: 'casting',
  flange: 'brass',
  bracket: 'casting',
  shaft: 'steel',
  thread: 'steel',
  way: 'steel-dark',
  table: 'casting',
  motor: 'motor-body',
  coupler: 'brass',
  handwheel: 'steel',
  run: 'motor-body',
}
/** The colour of a box of the drive, by its name in the palette. */
export const fill = (box: Box) =>
  box.part === 'motor' && box.role === 'body'
    ? FILLS.motor
    : box.part === 'coupler' || (box.part === 'belt' && box.role === 'body')
      ? FILLS.coupler
      : box.part === 'nut' && box.role === 'body'
        ? 'brass'
        : FILLS[box.role]
const color = (token: string) => `var(--dusk-colors-${token})`

const FINGER_PX = 44
/** An arrow key runs the nut by this much. */
const KEY_PX = 12
/** A hand that moves no further than this has not dragged, it has picked. */
const STILL_PX = 4

interface PartProps {
  part: DrivePart
  name: string
  boxes: Box[]
  leadMm: number
  x: (mm: number) => number
  y: (mm: number) => number
  scale: number
  picked: boolean
  onPick: () => void
  /** Whether the Tab key stops here. */
  isStop: boolean
  /** Goes to the next part, or back to the one before. */
  onStep: (by: 1 | -1) => void
  /** Runs the part along by so many pixels; the nut alone has it. */
  onRun?: (px: number) => void
}

/** One part of the drive that can be picked with a finger, a mouse or the keyboard. */
export function Part(props: PartProps) {
  const { part, name, boxes, leadMm, x, y, scale, picked, isStop, onPick, onStep, onRun } = props
  const drag = useDrag(onRun)
  const group = useRef<SVGGElement>(null)
  // Whoever stepped here from another part of the drawing has the focus with it.
  useEffect(() => {
    const focused = document.activeElement
    if (isStop && focused?.classList.contains('drive-part') && focused !== group.current)
      group.current?.focus()
  }, [isStop])
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (onRun && way) {
      event.preventDefault()
      onRun(way * KEY_PX)
      return
    }
    const step = ({ ArrowUp: -1, ArrowDown: 1 } as const)[event.key]
    if (step) {
      event.preventDefault()
      onStep(step)
      return
    }
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    onPick()
  }
  const guessed = boxes.every(box => box.guessed)
  return (
    // biome-ignore lint/a11y/useSemanticElements: an SVG group cannot be a button element
    <g
      ref={group}
      role="button"
      tabIndex={isStop ? 0 : -1}
      aria-pressed={picked}
      aria-label={guessed ? `${name}, drawn in a usual size` : name}
      aria-keyshortcuts={onRun ? 'ArrowLeft ArrowRight ArrowUp ArrowDown' : 'ArrowUp ArrowDown'}
      onClick={() => !drag.wasDragged() && onPick()}
      {...drag.handlers}
      onKeyDown={onKeyDown}
      className="drive-part"
      data-part={part}
      style={onRun ? { cursor: 'grab', touchAction: 'pan-y' } : { cursor: 'pointer' }}
    >
      {boxes.map(box => {
        const width = box.widthMm * scale
        const height = box.heightMm * scale
        const fingerPx = box.role === 'way' || box.role === 'thread' ? height : Math.max(height, FINGER_PX)
        return (
          <g key={`${box.role}-${box.xMm}`}>
            <rect
              x={x(box.xMm)}
              y={y(box.yMm + box.heightMm) - (fingerPx - height) / 2}
              width={width}
              height={fingerPx}
              fill="transparent"
            />
            <rect
              x={x(box.xMm)}
              y={y(box.yMm + box.heightMm)}
              width={width}
              height={height}
              rx={box.role === 'body' ? 2 : 0}
              fill={box.guessed ? 'transparent' : color(fill(box))}
              stroke={picked ? color('lamp') : color(box.guessed ? 'edge' : 'canvas')}
              strokeWidth={picked ? 2.5 : 1}
              strokeDasharray={box.guessed ? '5 4' : undefined}
            />
            {box.role === 'thread' && !box.guessed && (
              <path
                d={threads(box, leadMm, x, y)}
                stroke={color('canvas')}
                strokeWidth={0.8}
                opacity={0.65}
              />
            )}
          </g>
        )
      })}
    </g>
  )
}

/** One slanted stroke a turn, as many as the lead gives. */
function threads(box: Box, leadMm: number, x: (mm: number) => number, y: (mm: number) => number): string {
  const turns = Math.floor(box.widthMm / leadMm)
  return Array.from({ length: turns }, (_, turn) => {
    const at = box.xMm + turn * leadMm
    return `M${x(at).toFixed(1)} ${y(box.yMm).toFixed(1)}L${x(at + leadMm * 0.6).toFixed(1)} ${y(box.yMm + box.heightMm).toFixed(1)}`
  }).join('')
}

/** Follows a pointer that takes a part along, and tells a drag from a pick. */
function useDrag(onRun: ((px: number) => void) | undefined) {
  const from = useRef<number | null>(null)
  const moved = useRef(0)
  const handlers = onRun && {
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      from.current = event.clientX
      moved.current = 0
      event.currentTarget.setPointerCapture(event.pointerId)
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (from.current === null) return
      const px = event.clientX - from.current
      moved.current += Math.abs(px)
      from.current = event.clientX
      if (moved.current > STILL_PX) onRun(px)
    },
    onPointerUp: () => {
      from.current = null
    },
    onPointerCancel: () => {
      from.current = null
    },
  }
  return { handlers, wasDragged: () => moved.current > STILL_PX }
}
