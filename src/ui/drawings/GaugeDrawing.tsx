import { chakra } from '@chakra-ui/react'

/** A picture of how a gauge is set: what is read, where its base stands, where the tip touches, which way it reads more. */
export interface GaugeScene {
  /** The whole in a sentence, for those who do not see it. */
  label: string
  boxes?: readonly { x: number; y: number; width: number; height: number; label?: string }[]
  rounds?: readonly { x: number; y: number; r: number; label?: string }[]
  lines?: readonly { from: readonly [number, number]; to: readonly [number, number]; dashed?: boolean }[]
  words?: readonly { at: readonly [number, number]; text: string }[]
  gauges?: readonly {
    base: readonly [number, number]
    dial: readonly [number, number]
    tip: readonly [number, number]
  }[]
}

const WIDTH = 300
const HEIGHT = 130
const DIAL = 13
const token = (name: string) => `var(--dusk-colors-${name})`
const WORDS = { fontSize: 11, fill: token('ink') } as const

/** Draws a scene 300 wide and 130 high; what is read stands in outline, the gauge in the colour of the lamp. */
export function GaugeDrawing({
  scene: { label, boxes = [], rounds = [], lines = [], words = [], gauges = [] },
}: {
  scene: GaugeScene
}) {
  return (
    <chakra.div maxW="420px">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label} style={{ width: '100%' }}>
        {boxes.map(({ x, y, width, height, label: text }) => (
          <g key={`${x} ${y} ${width}`}>
            <rect x={x} y={y} width={width} height={height} fill={token('raised')} stroke={token('ink')} />
            {text && (
              <text x={x + width / 2} y={y + height / 2 + 4} textAnchor="middle" {...WORDS}>
                {text}
              </text>
            )}
          </g>
        ))}
        {rounds.map(({ x, y, r, label: text }) => (
          <g key={`${x} ${y} ${r}`}>
            <circle cx={x} cy={y} r={r} fill={token('raised')} stroke={token('ink')} />
            {text && (
              <text x={x} y={y + 4} textAnchor="middle" {...WORDS}>
                {text}
              </text>
            )}
          </g>
        ))}
        {lines.map(({ from, to, dashed }) => (
          <line
            key={[...from, ...to].join(' ')}
            x1={from[0]}
            y1={from[1]}
            x2={to[0]}
            y2={to[1]}
            stroke={token('ink')}
            strokeDasharray={dashed ? '4 3' : undefined}
          />
        ))}
        {gauges.map(({ base, dial, tip }) => (
          <g key={tip.join(' ')} stroke={token('lamp')} strokeWidth={2.2} fill="none">
            <rect x={base[0] - 13} y={base[1] - 10} width={26} height={10} fill={token('lamp')} />
            <polyline points={`${base[0]},${base[1] - 10} ${base[0]},${dial[1]} ${dial[0]},${dial[1]}`} />
            <line x1={dial[0]} y1={dial[1]} x2={tip[0]} y2={tip[1]} />
            <circle cx={dial[0]} cy={dial[1]} r={DIAL} fill={token('panel')} />
            <line x1={dial[0]} y1={dial[1]} x2={dial[0] + 6} y2={dial[1] - 8} />
            <circle cx={tip[0]} cy={tip[1]} r={2.6} fill={token('lamp')} />
          </g>
        ))}
        {words.map(({ at, text }) => (
          <text key={text} x={at[0]} y={at[1]} {...WORDS}>
            {text}
          </text>
        ))}
      </svg>
    </chakra.div>
  )
}
