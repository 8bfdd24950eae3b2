import { boundsOf, type Drawing, type Mark } from '@/core/drawing/drawing'

const token = (name: string) => `var(--dusk-colors-${name})`
const STROKES: Record<Mark['layer'], string> = {
  edge: token('ink'),
  centre: token('lamp'),
  words: token('quiet'),
}

/** A drawing on the screen, as large as there is room. */
export function DrawingView({
  drawing: { title, marks },
  label = `${title}, to scale`,
}: {
  drawing: Drawing
  label?: string
}) {
  const { left, bottom, right, top } = boundsOf(marks)
  const margin = 5
  return (
    <svg
      viewBox={`${left - margin} ${-top - margin} ${right - left + 2 * margin} ${top - bottom + 2 * margin}`}
      role="img"
      aria-label={label}
      style={{ width: '100%', maxHeight: '380px' }}
    >
      {marks.map((mark, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a mark is its place in the drawing
        <MarkView key={index} mark={mark} />
      ))}
    </svg>
  )
}

function MarkView({ mark }: { mark: Mark }) {
  const stroke = { stroke: STROKES[mark.layer], strokeWidth: 0.4 }
  switch (mark.is) {
    case 'line':
      return <line x1={mark.x1} y1={-mark.y1} x2={mark.x2} y2={-mark.y2} {...stroke} />
    case 'circle':
      return <circle cx={mark.x} cy={-mark.y} r={mark.r} fill="none" {...stroke} />
    case 'text':
      return (
        <text x={mark.x} y={-mark.y} fontSize={mark.heightMm * 1.3} fill={token('ink')}>
          {mark.text}
        </text>
      )
  }
}
