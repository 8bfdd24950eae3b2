import type { WayRound } from '@/core/sheets/bearingBlock/inputs'
import { useHatches } from '@/ui/drawings/Hatches'

interface Props {
  label: string
  boreDepthMm: number
  widthsMm: number[]
  spacerMm: number
  spigotMm: number
  /** Which way round each bearing goes in, the one at the cover first; null where that is not known or no matter. */
  turned: readonly (WayRound | null)[]
}
/** Towards what the wide land of a bearing's outer ring stands; null where that is not known or no matter. */
type Wide = WayRound['wideTowards'] | null
const token = (name: string) => `var(--dusk-colors-${name})`

/** A bearing block cut open along the screw: bore, bearings, spacer, cover, and the ways that the forces take. */
export function StackDrawing({ label, boreDepthMm, widthsMm, spacerMm, spigotMm, turned }: Props) {
  const sumMm = widthsMm.reduce((sum, one) => sum + one, 0)
  const lengthMm = Math.max(boreDepthMm, sumMm + spacerMm + spigotMm)
  const wall = lengthMm * 0.22
  const height = lengthMm * 0.62
  const stroke = lengthMm / 160
  const { style, hatches } = useHatches(stroke)
  // The shoulder of the bore stands at the right; the stack is pushed against it from the left.
  const ring = height * 0.26
  let from = boreDepthMm
  const pieces: {
    kind: 'bearing' | 'spacer'
    x: number
    width: number
    wide: Wide
  }[] = []
  for (const [index, width] of widthsMm.toReversed().entries()) {
    if (index === 1 && spacerMm > 0) {
      from -= spacerMm
      pieces.push({ kind: 'spacer', x: from, width: spacerMm, wide: null })
    }
    from -= width
    const own = turned[widthsMm.length - 1 - index]
    pieces.push({ kind: 'bearing', x: from, width, wide: own?.wideTowards ?? null })
  }
  const left = Math.min(0, from - spigotMm) - wall * 0.5
  const half = (sign: 1 | -1) => {
    const y = (distance: number) => sign * distance
    const box = (x: number, near: number, width: number, far: number, fill: string) => (
      <rect
        key={`${x} ${near}`}
        x={x}
        y={Math.min(y(near), y(far))}
        width={width}
        height={far - near}
        fill={token(fill)}
        stroke={token('ink')}
        strokeWidth={stroke}
      />
    )
    const shaft = height * 0.16
    const middle = (height / 2 + shaft) / 2
    /** A ring from one radius to another, its race thick at the side of its wide land and thin at the other. */
    const ringShape = (x: number, width: number, root: number, left: number, right: number) => (
      <polygon
        points={[
          [x, root],
          [x + width, root],
          [x + width, right],
          [x + width / 2, (left + right) / 2],
          [x, left],
        ]
          .map(([px = 0, distance = 0]) => `${px},${y(distance)}`)
          .join(' ')}
        fill={token('steel')}
        stroke={token('ink')}
        strokeWidth={stroke}
      />
    )
    const landOf = (wide: Wide, side: WayRound['wideTowards']) =>
      ring * (wide === null ? 0.4 : wide === side ? 0.62 : 0.16)
    const outerRing = (x: number, width: number, wide: Wide) =>
      ringShape(
        x,
        width,
        height / 2,
        height / 2 - landOf(wide, 'cover'),
        height / 2 - landOf(wide, 'shoulder'),
      )
    // The inner ring is thick where the outer one is thin.
    const innerRing = (x: number, width: number, wide: Wide) =>
      ringShape(x, width, shaft, shaft + landOf(wide, 'shoulder'), shaft + landOf(wide, 'cover'))
    const lineOfForce = (x: number, width: number, wide: WayRound['wideTowards']) => {
      const lean = (wide === 'shoulder' ? 1 : -1) * width * 0.36
      return (
        <path
          key={`force ${x}`}
          d={`M${x + width / 2 + lean} ${y(height / 2)}L${x + width / 2 - lean} ${y(shaft)}`}
          stroke={token('ink')}
          strokeWidth={stroke * 1.8}
          fill="none"
        />
      )
    }
    return (
      <g key={sign}>
        {box(0, height / 2, boreDepthMm + wall, height / 2 + wall, 'casting')}
        {box(boreDepthMm, shaft + ring * 0.9, wall, height / 2, 'casting')}
        {box(left, height / 2 - ring * 0.8, Math.max(0.01, from - left), height / 2, 'steel-dark')}
        {box(left - wall * 0.5, height / 2 - ring * 0.8, wall * 0.5, height / 2 + wall, 'steel-dark')}
        {pieces.map(({ kind, x, width, wide }) =>
          kind === 'spacer' ? (
            box(x, height / 2 - ring * 0.55, width, height / 2, 'brass')
          ) : (
            <g key={x}>
              {outerRing(x, width, wide)}
              {innerRing(x, width, wide)}
              <circle
                cx={x + width / 2}
                cy={y(middle)}
                r={Math.min(width * 0.34, (height / 2 - shaft) * 0.28)}
                fill={token('brass')}
                stroke={token('ink')}
                strokeWidth={stroke}
              />
            </g>
          ),
        )}
        {pieces.map(({ x, width, wide }) => wide && lineOfForce(x, width, wide))}
        <path
          d={`M${left - wall * 0.4} ${y(height / 2 - ring * 0.2)}H${boreDepthMm + wall * 0.4}`}
          stroke={token('fails')}
          strokeWidth={stroke * 2.4}
          fill="none"
        />
        <path
          d={`M${from} ${y(shaft + ring * 0.2)}H${boreDepthMm}`}
          stroke={token('lamp')}
          strokeWidth={stroke * 2.4}
          strokeDasharray={`${stroke * 6} ${stroke * 4}`}
          fill="none"
        />
      </g>
    )
  }
  const x0 = left - wall
  return (
    <svg
      viewBox={`${x0} ${-height / 2 - wall * 1.2} ${boreDepthMm + wall * 1.4 - x0} ${height + wall * 2.4}`}
      role="img"
      aria-label={label}
      style={{ width: '100%', maxHeight: '240px', ...style }}
    >
      {hatches}
      <rect
        x={x0}
        y={-height * 0.16}
        width={boreDepthMm + wall * 1.4 - x0}
        height={height * 0.32}
        fill={token('steel')}
        stroke={token('ink')}
        strokeWidth={stroke}
      />
      {half(1)}
      {half(-1)}
    </svg>
  )
}
