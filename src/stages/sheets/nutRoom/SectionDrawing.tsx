import { useId } from 'react'
import type { Protrusion } from '@/core/sheets/nutRoom/model'
import { useHatches } from '@/ui/drawings/Hatches'

/** Something that stands out of the nut, measured. */
type StandsOut = Pick<Protrusion, 'id' | 'what' | 'side'> & { standsOutMm: number }

interface Props {
  /** What is drawn, for those who do not see it. */
  label: string
  room: { leftMm: number; rightMm: number; ceilingMm: number; floorMm: number }
  walls: { leftMm: number; rightMm: number; ceilingMm: number; floorMm: number }
  screwMm: number
  nutMm: number
  bracket: { widthMm: number; heightMm: number }
  protrusions: readonly StandsOut[]
  /** Metal that must go, side by side. */
  cuts: { side: 'left' | 'right' | 'ceiling' | 'floor'; depthMm: number; fit: boolean }[]
}

const token = (name: string) => `var(--dusk-colors-${name})`

/** The room around the nut across the screw, to scale: casting, nut, bracket, what stands out of them, and what must be cut. */
export function SectionDrawing({ label, room, walls, screwMm, nutMm, bracket, protrusions, cuts }: Props) {
  const hatch = useId()
  const outer = {
    x: -room.leftMm - walls.leftMm,
    y: -room.ceilingMm - walls.ceilingMm,
    width: room.leftMm + room.rightMm + walls.leftMm + walls.rightMm,
    height: room.ceilingMm + room.floorMm + walls.ceilingMm + walls.floorMm,
  }
  const margin = Math.max(outer.width, outer.height) * 0.04
  const box = [outer.x - margin, outer.y - margin, outer.width + 2 * margin, outer.height + 2 * margin]
  const stroke = Math.max(outer.width, outer.height) / 220
  const cutBox = (side: Props['cuts'][number]['side'], depthMm: number) => {
    switch (side) {
      case 'left':
        return {
          x: -room.leftMm - depthMm,
          y: -room.ceilingMm,
          width: depthMm,
          height: room.ceilingMm + room.floorMm,
        }
      case 'right':
        return { x: room.rightMm, y: -room.ceilingMm, width: depthMm, height: room.ceilingMm + room.floorMm }
      case 'ceiling':
        return {
          x: -room.leftMm,
          y: -room.ceilingMm - depthMm,
          width: room.leftMm + room.rightMm,
          height: depthMm,
        }
      case 'floor':
        return { x: -room.leftMm, y: room.floorMm, width: room.leftMm + room.rightMm, height: depthMm }
    }
  }
  const { style, hatches } = useHatches(stroke)
  return (
    <svg
      viewBox={box.join(' ')}
      role="img"
      aria-label={label}
      style={{ width: '100%', maxHeight: '320px', ...style }}
      preserveAspectRatio="xMidYMid meet"
    >
      {hatches}
      <defs>
        <pattern
          id={hatch}
          width={stroke * 6}
          height={stroke * 6}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2={stroke * 6} stroke={token('fails')} strokeWidth={stroke * 2.4} />
        </pattern>
      </defs>
      <path
        fillRule="evenodd"
        fill={token('casting')}
        stroke={token('edge')}
        strokeWidth={stroke}
        d={`M${outer.x} ${outer.y}h${outer.width}v${outer.height}h${-outer.width}z M${-room.leftMm} ${-room.ceilingMm}h${room.leftMm + room.rightMm}v${room.ceilingMm + room.floorMm}h${-(room.leftMm + room.rightMm)}z`}
      />
      {cuts.map(({ side, depthMm, fit }) => (
        <rect
          key={side}
          {...cutBox(side, depthMm)}
          fill={`url(#${CSS.escape(hatch)})`}
          stroke={token(fit ? 'close' : 'fails')}
          strokeWidth={stroke * 1.5}
          data-cut={side}
        />
      ))}
      {bracket.widthMm > 0 && bracket.heightMm > 0 && (
        <rect
          x={-bracket.widthMm / 2}
          y={-bracket.heightMm / 2}
          width={bracket.widthMm}
          height={bracket.heightMm}
          fill={token('steel')}
          fillOpacity={0.45}
          stroke={token('edge')}
          strokeWidth={stroke}
        />
      )}
      <circle r={nutMm / 2} fill={token('brass')} stroke={token('ink')} strokeWidth={stroke} />
      <circle r={screwMm / 2} fill={token('steel')} stroke={token('ink')} strokeWidth={stroke} />
      {protrusions.map((one, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: what stands out is its place in the list
        <Outstanding key={index} {...one} nutMm={nutMm} bracket={bracket} stroke={stroke} />
      ))}
      <path
        d={`M${-margin * 2} 0H${margin * 2}M0 ${-margin * 2}V${margin * 2}`}
        stroke={token('ink')}
        strokeWidth={stroke * 0.8}
        strokeDasharray={`${stroke * 5} ${stroke * 2} ${stroke} ${stroke * 2}`}
      />
    </svg>
  )
}

/** Middles and widths of each kind, in parts of the nut's radius: one fitting, two heads, one broad loop of tubes. */
const SHAPES: Record<Protrusion['what'], { middles: number[]; width: number; fill: string }> = {
  'grease fitting': { middles: [0], width: 0.22, fill: 'lamp' },
  'screw heads': { middles: [-0.6, 0.6], width: 0.3, fill: 'steel-dark' },
  'return tubes': { middles: [0], width: 0.9, fill: 'steel' },
}

interface OutstandingProps extends StandsOut {
  nutMm: number
  bracket: Props['bracket']
  stroke: number
}

function Outstanding({ what, side, standsOutMm, nutMm, bracket, stroke }: OutstandingProps) {
  const across = side === 'left' || side === 'right'
  const from = Math.max(nutMm, across ? bracket.widthMm : bracket.heightMm) / 2
  const turn = { ceiling: 0, right: 90, floor: 180, left: 270 }[side]
  const { middles, width, fill } = SHAPES[what]
  const radius = nutMm / 2
  return (
    <g transform={`rotate(${turn})`} data-protrusion={side}>
      {middles.map(middle => (
        <rect
          key={middle}
          x={(middle - width / 2) * radius}
          y={-from - standsOutMm}
          width={width * radius}
          height={standsOutMm}
          fill={token(fill)}
          stroke={token('ink')}
          strokeWidth={stroke}
        />
      ))}
    </g>
  )
}
