const token = (name: string) => `var(--dusk-colors-${name})`
const MIDDLE = 110
const RADIUS = 66

/** A face from the front, 0 up and clockwise: each reading at its angle, and where it stands proud. */
export function FaceDisc({
  label,
  readings,
  proudAtDeg,
  proudWords,
}: {
  label: string
  readings: readonly { angleDeg: number; text: string }[]
  /** None while it cannot be said. */
  proudAtDeg: number | null
  /** What stands at the proud side: "proud", "open". */
  proudWords: string
}) {
  const at = (deg: number, r: number) => {
    const rad = (deg * Math.PI) / 180
    return [MIDDLE + 20 + r * Math.sin(rad), MIDDLE - r * Math.cos(rad)] as const
  }
  const wedge = (deg: number) => {
    const [ax, ay] = at(deg - 45, RADIUS)
    const [bx, by] = at(deg + 45, RADIUS)
    return `M ${MIDDLE + 20} ${MIDDLE} L ${ax} ${ay} A ${RADIUS} ${RADIUS} 0 0 1 ${bx} ${by} Z`
  }
  return (
    <svg viewBox="0 0 260 220" role="img" aria-label={label} style={{ width: '100%', maxWidth: '320px' }}>
      <circle cx={MIDDLE + 20} cy={MIDDLE} r={RADIUS} fill={token('raised')} stroke={token('ink')} />
      {proudAtDeg !== null && (
        <path d={wedge(proudAtDeg)} fill={token('lamp')} fillOpacity={0.35} stroke={token('lamp')} />
      )}
      <circle cx={MIDDLE + 20} cy={MIDDLE} r={RADIUS / 3} fill={token('panel')} stroke={token('ink')} />
      {readings.map(({ angleDeg, text }) => {
        const [px, py] = at(angleDeg, RADIUS)
        const [tx, ty] = at(angleDeg, RADIUS + 24)
        return (
          <g key={angleDeg}>
            <circle cx={px} cy={py} r={3} fill={token('ink')} />
            <text x={tx} y={ty + 4} fontSize={12} textAnchor="middle" fill={token('ink')}>
              {text}
            </text>
          </g>
        )
      })}
      {proudAtDeg !== null && (
        <text
          x={at(proudAtDeg, RADIUS * 0.66)[0]}
          y={at(proudAtDeg, RADIUS * 0.66)[1] + 4}
          fontSize={13}
          fontWeight={700}
          textAnchor="middle"
          fill={token('ink')}
        >
          {proudWords}
        </text>
      )}
    </svg>
  )
}
