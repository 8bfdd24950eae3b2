import { chakra } from '@chakra-ui/react'
import type { ReactElement } from 'react'
import { ResponsiveContainer } from 'recharts'
import { useTurns } from './useTurns'

/** What is drawn on the empty ground of a chart before its series, and after them. */
const BEFORE = ['across', 'up']
const AFTER = ['limits', 'legend', 'tip']

/** How much of a chart is drawn by now, so that no part of it keeps a key waiting: a turn for each scale, each series, and what explains them. */
interface Drawn {
  has: (what: 'across' | 'up' | 'limits' | 'legend' | 'tip') => boolean
  /** So many series. */
  series: number
}

interface Props {
  /** What the chart shows, for those who do not see it, and where its figures are. */
  label: string
  heightPx: number
  /** How many series it has. */
  series: number
  children: (drawn: Drawn) => ReactElement
}

/** The place of a chart, in which it is drawn turn by turn. */
export function ChartFrame({ label, heightPx, series, children }: Props) {
  const all = 1 + BEFORE.length + series + AFTER.length
  const passed = useTurns(all)
  const turns = [...BEFORE, ...Array.from({ length: series }, () => ''), ...AFTER]
  return (
    <chakra.div height={`${heightPx}px`} role="img" aria-label={label} aria-busy={passed < all || undefined}>
      {passed > 0 && (
        <ResponsiveContainer width="100%" height="100%">
          {children({
            has: what => turns.indexOf(what) < passed - 1,
            series: Math.min(series, Math.max(0, passed - 1 - BEFORE.length)),
          })}
        </ResponsiveContainer>
      )}
    </chakra.div>
  )
}
