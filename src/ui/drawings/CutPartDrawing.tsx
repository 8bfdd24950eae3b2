/** The part seen from above: a square with a round boss on it, its corners numbered, its axes and directions marked. */
export function CutPartDrawing({
  axis,
  other,
  side,
  boss,
}: {
  axis: string
  other: string
  /** Its sizes, in words. */
  side: string
  boss: string
}) {
  const stroke = { stroke: 'currentColor', fill: 'none', strokeWidth: 1.4 }
  const thin = { ...stroke, strokeWidth: 0.7, strokeDasharray: '4 3' }
  const words = { fill: 'currentColor', fontSize: 11 }
  const directions = [0, 30, 60, 90, 120, 150]
  return (
    <svg
      viewBox="0 0 300 300"
      role="img"
      aria-label={`A square of ${side} with a round boss of ${boss} on it, seen from above: corners 1 to 4, ${axis} to the right and ${other} away from you`}
      style={{ width: '100%' }}
    >
      <rect x={50} y={50} width={190} height={190} {...stroke} />
      <circle cx={145} cy={145} r={85} {...stroke} />
      {directions.map(direction => {
        const angle = (direction * Math.PI) / 180
        const [x, y] = [Math.cos(angle), Math.sin(angle)]
        return (
          <g key={direction}>
            <line x1={145 - 85 * x} y1={145 + 85 * y} x2={145 + 50 * x} y2={145 - 50 * y} {...thin} />
            <line x1={145 + 76 * x} y1={145 - 76 * y} x2={145 + 85 * x} y2={145 - 85 * y} {...thin} />
            <text x={145 + 63 * x} y={145 - 63 * y + 4} textAnchor="middle" {...words}>
              {direction}°
            </text>
          </g>
        )
      })}
      <line x1={50} y1={240} x2={240} y2={50} {...thin} strokeDasharray="1 4" strokeWidth={1.4} />
      <line x1={240} y1={240} x2={50} y2={50} {...thin} strokeDasharray="1 4" strokeWidth={1.4} />
      {(
        [
          ['1', 40, 254],
          ['2', 248, 254],
          ['3', 248, 48],
          ['4', 40, 48],
        ] as const
      ).map(([name, x, y]) => (
        <text key={name} x={x} y={y} textAnchor="middle" {...words} fontWeight={700} fontSize={14}>
          {name}
        </text>
      ))}
      <line x1={50} y1={272} x2={240} y2={272} {...stroke} />
      <polygon points="240,272 230,268 230,276" fill="currentColor" />
      <text x={145} y={290} textAnchor="middle" {...words}>
        {axis}+, {side}
      </text>
      <line x1={272} y1={240} x2={272} y2={50} {...stroke} />
      <polygon points="272,50 268,60 276,60" fill="currentColor" />
      <text x={276} y={258} textAnchor="middle" {...words}>
        {other}+
      </text>
      <text x={145} y={30} textAnchor="middle" {...words}>
        boss {boss} across
      </text>
    </svg>
  )
}
