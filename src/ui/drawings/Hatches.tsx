import { useId } from 'react'

/** The materials of drawings, each with the slant of its hatching, as sections are drawn. */
const SLANTS = { casting: 45, steel: -45, 'steel-dark': -45, brass: 0 } as const

/**
 * How the materials of a drawing look on paper: hatched, where a full ground would drink the ink and run.
 *
 * @param stroke the width of its lines, in the measure of the drawing
 */
export function useHatches(stroke: number) {
  const id = CSS.escape(useId())
  const step = stroke * 6
  const names = Object.keys(SLANTS) as (keyof typeof SLANTS)[]
  return {
    /** For the element of the drawing: the print sheet takes the hatching from here. */
    style: Object.fromEntries(names.map(name => [`--hatch-${name}`, `url(#${id}-${name})`])),
    hatches: (
      <defs>
        {names.map(name => (
          <pattern
            key={name}
            id={`${id}-${name}`}
            width={step}
            height={step}
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${SLANTS[name]})`}
          >
            <rect width={step} height={step} fill="#fff" />
            <line x2={0} y2={step} stroke="#1a222c" strokeWidth={stroke * 0.7} />
          </pattern>
        ))}
      </defs>
    ),
  }
}
