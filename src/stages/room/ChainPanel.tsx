import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { DIMENSION_KEYS, DIMENSIONS } from '@/core/document/dimensions'
import { known } from '@/core/evaluation/attempt'
import { stackupChain } from '@/core/sheets/chain/calculation'
import { type ChainLink, LINK_FIELDS, MOST_ROWS } from '@/core/sheets/making'
import { contributors } from '@/core/sheets/makingInputs'
import type { Spread } from '@/core/simulate/monteCarlo'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { type Column, quantityColumns, RowsTable } from '@/ui/fields/RowsTable'
import { Panel } from '@/ui/Panel'
import { type Running, startDraws } from '@/workers/client'
import { useAxisNow, useUnits } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { Adjustment } from './Adjustment'
import { SpreadChart } from './SpreadChart'
import { useMaking } from './useMaking'

const lengths = DIMENSION_KEYS.filter(key => DIMENSIONS[key].quantity === 'length')
const COLUMNS: Column<ChainLink>[] = [
  { key: 'label', label: 'Link', is: 'words', most: 80, wide: true },
  {
    key: 'dimension',
    label: 'Taken from',
    is: 'choice',
    of: [
      { value: 'null', label: 'typed here' },
      ...lengths.map(value => ({ value, label: DIMENSIONS[value].label })),
    ],
    read: value => (value === 'null' ? null : value),
  },
  ...quantityColumns<ChainLink>(LINK_FIELDS),
  {
    key: 'direction',
    label: 'Makes it',
    is: 'choice',
    of: [
      { value: '1', label: 'longer' },
      { value: '-1', label: 'shorter' },
    ],
    read: Number,
  },
  {
    key: 'distribution',
    label: 'Spread',
    is: 'choice',
    of: [
      { value: 'normal', label: 'normal' },
      { value: 'uniform', label: 'even' },
    ],
    read: value => value,
  },
]
const NEW: ChainLink = {
  label: 'Link',
  dimension: null,
  nominalMm: 10,
  plusMm: 0.1,
  minusMm: 0.1,
  direction: 1,
  distribution: 'normal',
}
const DRAWS = 1_000_000
const SEED = 20_261_125

type State =
  | { kind: 'idle' }
  | { kind: 'running'; share: number }
  | { kind: 'stopped' }
  | { kind: 'failed'; message: string }
  | { kind: 'done'; spread: Spread; of: string }

/** A chain of dimensions: at worst, as a rule, and drawn a million times. */
export function ChainPanel() {
  const { making, change, rowsOf } = useMaking()
  const units = useUnits()
  const axisNow = useAxisNow()
  const { chain } = making
  const [state, setState] = useState<State>({ kind: 'idle' })
  const run = useRef<Running<Spread | null> | null>(null)
  useEffect(() => () => run.current?.cancel(), [])
  const now = JSON.stringify(chain)

  const formula =
    known(() => {
      const axis = axisNow()
      const { lowerLimitMm, upperLimitMm } = chain
      return stackupChain({ contributors: contributors(axis, chain), lowerLimitMm, upperLimitMm })
        .probabilityWithin
    }).value ?? null

  const draw = () => {
    setState({ kind: 'running', share: 0 })
    const axis = axisNow()
    const { lowerLimitMm, upperLimitMm } = axis.making.chain
    const started = startDraws(
      {
        contributors: contributors(axis, axis.making.chain),
        limits: { lowerLimitMm, upperLimitMm },
        draws: DRAWS,
        seed: SEED,
      },
      share => setState({ kind: 'running', share }),
    )
    run.current = started
    const of = JSON.stringify(axis.making.chain)
    started.done
      .then(spread => spread && setState({ kind: 'done', spread, of }))
      .catch(error =>
        setState({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
      )
  }
  const limit = (key: 'lowerLimitMm' | 'upperLimitMm', label: string) => (
    <QuantityField
      label={label}
      kind="length"
      units={units}
      min={-20_000}
      max={20_000}
      value={chain[key]}
      onValue={(value, mergeKey) =>
        value !== null &&
        change(
          label,
          draft => {
            draft.chain[key] = value
          },
          mergeKey,
        )
      }
    />
  )
  return (
    <Panel
      title="Chain of dimensions"
      note="Links that add up to a gap that matters, such as what is left between screw end and coupler. Make the parts to size where nearly all would fall within the limits; else leave slots or shims. A normal spread falls mostly in the middle of its band, an even one anywhere in it."
      action={<WorkingButton checkId="room.chain" of="the chain" />}
    >
      <chakra.div display="flex" flexWrap="wrap" gap="4" mb="3">
        <chakra.div minW="260px">{limit('lowerLimitMm', 'At least')}</chakra.div>
        <chakra.div minW="260px">{limit('upperLimitMm', 'At most')}</chakra.div>
      </chakra.div>
      <RowsTable
        row="Link"
        columns={COLUMNS}
        {...rowsOf(
          making => making.chain.links,
          { change: 'Chain of dimensions', more: 'A link more', less: 'A link less' },
          links => ({ ...NEW, label: `Link ${links.length + 1}` }),
        )}
        units={units}
        most={MOST_ROWS}
        addLabel="Another link"
      />
      <Adjustment />
      {chain.links.length > 0 && (
        <chakra.div mt="3">
          {state.kind === 'running' ? (
            <Button
              onClick={() => {
                run.current?.cancel()
                setState({ kind: 'stopped' })
              }}
            >
              Stop
            </Button>
          ) : (
            <Button variant="lamp" onClick={draw}>
              Draw it a million times
            </Button>
          )}
          <div role="status" aria-live="polite">
            {state.kind === 'running' && (
              <chakra.progress
                display="block"
                width="100%"
                mt="2"
                max={1}
                value={state.share}
                aria-label="Drawing"
              />
            )}
            {state.kind === 'stopped' && <chakra.p color="quiet">Stopped. Nothing was changed.</chakra.p>}
            {state.kind === 'failed' && (
              <chakra.p color="fails">It did not come to an end: {state.message}.</chakra.p>
            )}
            {state.kind === 'done' && (
              <chakra.p mt="2" fontSize="14px">
                {say(state.spread.withinShare, 'share', units)} of {DRAWS.toLocaleString('en')} fall within
                the limits, about {say(state.spread.meanMm, 'length', units)} with a spread of ±
                {say(3 * state.spread.sigmaMm, 'length', units)}.
                {formula !== null && ` The formula says ${say(formula, 'share', units)}.`}
                {state.of !== now && ' The chain has changed since: draw again.'}
              </chakra.p>
            )}
          </div>
          {state.kind === 'done' && (
            <SpreadChart
              spread={state.spread}
              names={chain.links.map(({ label }) => label)}
              limits={chain}
              units={units}
            />
          )}
        </chakra.div>
      )}
    </Panel>
  )
}
