import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'

/** The chart package from the ground up: each piece is set up in a task of its own, so that none keeps a key waiting. */
const PIECES: (() => Promise<unknown>)[] = [
  () => import('recharts/es6/state/rootPropsSlice'),
  () => import('recharts/es6/util/scale/index'),
  () => import('recharts/es6/util/scale/RechartsScale'),
  () => import('recharts/es6/util/ChartUtils'),
  () => import('recharts/es6/state/store'),
  () => import('recharts/es6/state/selectors/axisSelectors'),
  () => import('recharts/es6/component/ResponsiveContainer'),
  () => import('recharts/es6/cartesian/XAxis'),
  () => import('recharts/es6/component/Tooltip'),
  () => import('recharts/es6/component/Legend'),
  () => import('recharts/es6/cartesian/Line'),
  () => import('recharts/es6/chart/LineChart'),
]

async function setUp(): Promise<void> {
  for (const piece of PIECES) {
    await piece()
    await new Promise(done => setTimeout(done))
  }
}
let ready: Promise<void> | null = null

/**
 * A chart that comes when the rest of its sheet stands there.
 *
 * @param heightPx what is kept free for it until then
 */
export const chartLater = <P extends object>(load: () => Promise<ComponentType<P>>, heightPx: number) =>
  dynamic<P>(
    async () => {
      ready ??= setUp().catch(error => {
        ready = null
        throw error
      })
      await ready
      return load()
    },
    {
      ssr: false,
      loading: () => (
        <chakra.div role="img" aria-label="A chart, not drawn yet" aria-busy height={`${heightPx}px`} />
      ),
    },
  )
