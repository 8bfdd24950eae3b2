import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { DIMENSIONS } from '@/core/document/dimensions'
import { onAxis } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import { stackupChain } from '@/core/sheets/chain/calculation'
import { contributors } from '@/core/sheets/chain/inputs'
import { CHAIN, type ChainLink, LINKABLE, LINKS } from '@/core/sheets/chain/model'
import type { Spread } from '@/core/sheets/chain/monteCarlo'
import { printFixed, say } from '@/core/units/print'
import { chartLater } from '@/ui/chart/chartLater'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { startDraws } from '@/workers/client'
import { AxisField } from '../../job/AxisField'
import { useUnits } from '../../job/JobContext'
import { RunProgress } from '../../job/RunProgress'
import { useAxisNow, useSettledAxis } from '../../job/useAxis'
import { useRows } from '../../job/useRows'
import { useRun } from '../../job/useRun'
import { WorkingButton } from '../../job/WorkingButton'
import { Adjustment } from './Adjustment'

const SpreadChart = chartLater(() => import('./SpreadChart').then(module => module.SpreadChart), 260)

const linksOf = (axis: Axis) => axis.chain.links
const numberedLink = (rows: readonly ChainLink[]) => ({ label: `Link ${rows.length + 1}` })
const OPTIONS = {
  dimension: [
    { value: 'null', label: 'typed here' },
    ...LINKABLE.map(value => ({ value, label: DIMENSIONS[value].label })),
  ],
}

/** A chain of dimensions: at worst, as a rule, and drawn a million times. */
export function ChainPanel() {
  const links = useRows(LINKS, linksOf, numberedLink)
  const units = useUnits()
  return (
    <Panel
      title="Chain of dimensions"
      note="Links that add up to a gap that matters, such as what is left between screw end and coupler. Make the parts to size where nearly all would fall within the limits; else leave slots or shims. A normal spread falls mostly in the middle of its band, an even one anywhere in it."
      action={<WorkingButton checkId="room.chain" of="the chain" />}
    >
      <chakra.div display="flex" flexWrap="wrap" gap="4" mb="3">
        <Limit of="lowerLimitMm" />
        <Limit of="upperLimitMm" />
      </chakra.div>
      <RowsTable {...links} units={units} options={OPTIONS} addLabel="Another link" />
      <Adjustment />
      {links.rows.length > 0 && <Draws />}
    </Panel>
  )
}

function Limit({ of }: { of: 'lowerLimitMm' | 'upperLimitMm' }) {
  return (
    <chakra.div minW="260px">
      <AxisField
        field={CHAIN.of[of]}
        select={axis => axis.chain[of]}
        edit={(axis, value, mergeKey) =>
          onAxis(
            axis,
            CHAIN.of[of].label,
            draft => {
              draft.chain[of] = value
            },
            { mergeKey },
          )
        }
      />
    </chakra.div>
  )
}

const DRAWS = 1_000_000
const SEED = 20_261_125

/** The chain drawn a million times in a worker, against the formula. */
function Draws() {
  const axis = useSettledAxis()
  const axisNow = useAxisNow()
  const units = useUnits()
  const { run, start, stop } = useRun<{ spread: Spread; of: string }>()
  const { chain } = axis
  const now = JSON.stringify(chain)
  const draw = () => {
    const drawn = axisNow()
    const { lowerLimitMm, upperLimitMm } = drawn.chain
    const taken = attempt(() => contributors(drawn, drawn.chain)).value
    if (!taken) return
    const of = JSON.stringify(drawn.chain)
    start(onProgress => {
      const { done, cancel } = startDraws(
        {
          contributors: taken,
          limits: { lowerLimitMm, upperLimitMm },
          draws: DRAWS,
          seed: SEED,
        },
        onProgress,
      )
      return { done: done.then(spread => spread && { spread, of }), cancel }
    })
  }
  const { value: formula, ask } = attempt(() => {
    const { lowerLimitMm, upperLimitMm } = chain
    return stackupChain({ contributors: contributors(axis, chain), lowerLimitMm, upperLimitMm })
      .probabilityWithin
  })
  const drawn = run.kind === 'done' ? run.value : null
  return (
    <chakra.div mt="3">
      {run.kind === 'running' ? (
        <Button onClick={stop}>Stop</Button>
      ) : (
        <Button variant="lamp" onClick={draw} disabled={formula === undefined}>
          Draw it a million times
        </Button>
      )}
      {ask && <Note mt="2">{ask}</Note>}
      <RunProgress run={run} doing="Drawing…">
        {drawn && (
          <Stated mt="2">
            {say(drawn.spread.withinShare, 'share', units)} of {printFixed(DRAWS, 0)} fall within the limits,
            about {say(drawn.spread.meanMm, 'length', units)} with a spread of ±
            {say(3 * drawn.spread.sigmaMm, 'length', units)}.
            {formula !== undefined && ` The formula says ${say(formula, 'share', units)}.`}
            {drawn.of !== now && ' The chain has changed since: draw again.'}
          </Stated>
        )}
      </RunProgress>
      {drawn && (
        <SpreadChart
          spread={drawn.spread}
          names={chain.links.map(({ label }) => label)}
          limits={chain}
          units={units}
        />
      )}
    </chakra.div>
  )
}
