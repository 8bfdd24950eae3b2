interface Props {
  label: string
  boreDepthMm: number
  widthsMm: number[]
  spacerMm: number
  spigotMm: number
}
const token = (name: string) => `var(--dusk-colors-${name})`

/** A bearing block cut open along the screw: bore, bearings, spacer, cover, and the ways that the forces take. */
export function StackDrawing({ label, boreDepthMm, widthsMm, spacerMm, spigotMm }: Props) {
  const sumMm = widthsMm.reduce((sum, one) => sum + one, 0)
  const lengthMm = Math.max(boreDepthMm, sumMm + spacerMm + spigotMm)
  const wall = lengthMm * 0.22
  const height = lengthMm * 0.62
  const stroke = lengthMm / 160
  // The shoulder of the bore stands at the right; the stack is pushed against it from the left.
  const ring = height * 0.26
  let from = boreDepthMm
  const pieces: { kind: 'bearing' | 'spacer'; x: number; width: number }[] = []
  for (const [index, width] of widthsMm.toReversed().entries()) {
    if (index === 1 && spacerMm > 0) {
      from -= spacerMm
      pieces.push({ kind: 'spacer', x: from, width: spacerMm })
    }
    from -= width
    pieces.push({ kind: 'bearing', x: from, width })
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
    return (
      <g key={sign}>
        {box(0, height / 2, boreDepthMm + wall, height / 2 + wall, 'casting')}
        {box(boreDepthMm, shaft + ring * 0.9, wall, height / 2, 'casting')}
        {box(left, height / 2 - ring * 0.8, Math.max(0.01, from - left), height / 2, 'steel-dark')}
        {box(left - wall * 0.5, height / 2 - ring * 0.8, wall * 0.5, height / 2 + wall, 'steel-dark')}
        {pieces.map(({ kind, x, width }) =>
          kind === 'spacer' ? (
            box(x, height / 2 - ring * 0.55, width, height / 2, 'brass')
          ) : (
            <g key={x}>
              {box(x, height / 2 - ring * 0.4, width, height / 2, 'steel')}
              {box(x, shaft, width, shaft + ring * 0.4, 'steel')}
              <circle
                cx={x + width / 2}
                cy={y((height / 2 + shaft) / 2)}
                r={Math.min(width * 0.34, (height / 2 - shaft) * 0.28)}
                fill={token('brass')}
                stroke={token('ink')}
                strokeWidth={stroke}
              />
            </g>
          ),
        )}
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
      style={{ width: '100%', maxHeight: '240px' }}
    >
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
