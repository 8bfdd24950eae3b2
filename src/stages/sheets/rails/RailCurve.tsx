import { narrowestStrip, type Station } from '@/core/sheets/rails/calculation'
import { say } from '@/core/units/print'
import { useUnits } from '../../job/JobContext'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 12
const WIDTH = 296
const TOP = 24
const TALL = 78

/** What was read along a rail, much enlarged, in the narrowest strip that holds it. */
export function RailCurve({ heights }: { heights: readonly Station[] }) {
  const units = useUnits()
  const strip = narrowestStrip(heights)
  if (!strip || heights.length < 3) return null
  const places = heights.map(({ positionMm }) => positionMm)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  const low = (mm: number) => strip.lowUm + strip.slopeUmPerMm * mm
  const corners = [low(from), low(to), low(from) + strip.heightUm, low(to) + strip.heightUm]
  const values = [...heights.map(({ readingUm }) => readingUm), ...corners]
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const x = (mm: number) => LEFT + ((mm - from) / Math.max(1e-9, to - from)) * WIDTH
  const y = (um: number) => TOP + TALL - ((um - least) / Math.max(1e-9, most - least)) * TALL
  const small = (um: number) => say(um, 'smallLength', units)
  const band = [
    [from, low(from)],
    [to, low(to)],
    [to, low(to) + strip.heightUm],
    [from, low(from) + strip.heightUm],
  ]
    .map(([mm = 0, um = 0]) => `${x(mm)},${y(um)}`)
    .join(' ')
  return (
    <svg
      viewBox="0 0 320 132"
      role="img"
      aria-label={`The rail as it was read, within a strip of ${small(strip.heightUm)}; the figures are in the table`}
      style={{ width: '100%', maxWidth: '480px' }}
    >
      <polygon points={band} fill={token('raised')} stroke={token('quiet')} strokeDasharray="5 4" />
      <polyline
        points={heights.map(({ positionMm, readingUm }) => `${x(positionMm)},${y(readingUm)}`).join(' ')}
        fill="none"
        stroke={token('lamp')}
        strokeWidth={2.4}
      />
      {heights.map(({ positionMm, readingUm }) => (
        <circle key={positionMm} cx={x(positionMm)} cy={y(readingUm)} r={3} fill={token('lamp')} />
      ))}
      <text x={LEFT} y={14} fontSize={12} fontWeight={700} fill={token('ink')}>
        narrowest strip {small(strip.heightUm)}
      </text>
      <text x={LEFT} y={124} fontSize={12} fill={token('quiet')}>
        {say(from, 'length', units, 0)}
      </text>
      <text x={LEFT + WIDTH} y={124} fontSize={12} textAnchor="end" fill={token('quiet')}>
        {say(to, 'length', units, 0)}
      </text>
    </svg>
  )
}
