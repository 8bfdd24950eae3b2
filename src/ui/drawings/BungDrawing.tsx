import { useHatches } from './Hatches'

interface Props {
  label: string
  oldMm: number
  newMm: number
  offsetMm: number
  edgeMm: number
}
const token = (name: string) => `var(--dusk-colors-${name})`

/** An old hole with its bung, the new hole around the new centre, and the nearest edge, to scale. */
export function BungDrawing({ label, oldMm, newMm, offsetMm, edgeMm }: Props) {
  const reach = Math.max(newMm / 2, oldMm / 2 + offsetMm)
  const left = -Math.max(reach, edgeMm)
  const size = { x: left * 1.08, y: -reach * 1.15, width: (reach - left) * 1.12, height: reach * 2.3 }
  const stroke = size.width / 150
  const pilot = Math.max(newMm / 14, 1)
  const { style, hatches } = useHatches(stroke)
  return (
    <svg
      viewBox={`${size.x} ${size.y} ${size.width} ${size.height}`}
      role="img"
      aria-label={label}
      style={{ width: '100%', maxHeight: '150px', ...style }}
    >
      {hatches}
      <rect
        x={left}
        y={size.y}
        width={size.width}
        height={size.height}
        fill={token('casting')}
        stroke={token('edge')}
        strokeWidth={stroke}
      />
      <circle
        r={newMm / 2}
        fill={token('panel')}
        stroke={token('lamp')}
        strokeWidth={stroke * 2}
        strokeDasharray={`${stroke * 6} ${stroke * 3}`}
      />
      {oldMm > 0 && (
        <circle
          cx={offsetMm}
          r={oldMm / 2}
          fill={token('brass')}
          stroke={token('ink')}
          strokeWidth={stroke}
        />
      )}
      <circle r={pilot} fill={token('ink')} />
      <path
        d={`M${-pilot * 3} 0H${pilot * 3}M0 ${-pilot * 3}V${pilot * 3}`}
        stroke={token('ink')}
        strokeWidth={stroke}
      />
    </svg>
  )
}
