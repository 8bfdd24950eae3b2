import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import { attempt } from '@/core/evaluation/attempt'
import { counted } from '@/core/sheets/fullTest/counted'
import { fullFigures, isQuick } from '@/core/sheets/fullTest/figures'
import type { FullTest } from '@/core/sheets/fullTest/model'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { Fold } from '@/ui/Fold'
import { Stated } from '@/ui/Note'
import { CopyTable } from '@/ui/table/CopyTable'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useUnits } from '../../job/JobContext'
import { SavedLines } from '../../job/SavedLines'
import { useSettledEvaluation } from '../../job/useEvaluation'

type Station = NonNullable<ReturnType<typeof fullFigures>>['stations'][number]

/** The deviations of every run, to see a run that drifts or stands apart. */
function RunByRun({ test }: { test: FullTest }) {
  const units = useUnits()
  const [length, small] = [quantityFacts('length')[units], quantityFacts('smallLength')[units]]
  const runs = Array.from({ length: test.runs }, (_, run) => run)
  const targets = counted(test).targets.toSorted((a, b) => a.targetMm - b.targetMm)
  const deviation = (um: number | undefined) => (um === undefined ? null : um / small.perUnit)
  const named = (way: string, run: number) => `${way}, run ${run + 1}`
  return (
    <>
      <SavedLines
        name="deviations run by run"
        label="Chart of the deviations run by run, going up and going down"
        rows={targets.map(({ targetMm, positiveUm, negativeUm }) => ({
          place: targetMm / length.perUnit,
          ...Object.fromEntries(
            runs.flatMap(run => [
              [`up${run}`, deviation(positiveUm[run])],
              [`down${run}`, deviation(negativeUm[run])],
            ]),
          ),
        }))}
        x={{ key: 'place', label: `target, ${length.unit}` }}
        y={{ label: small.unit, decimals: small.decimals }}
        series={WAYS.flatMap(({ key, word, color }) =>
          runs.map(run => ({
            key: `${key}${run}`,
            name: run === 0 ? `${word}, the first run solid` : named(word, run),
            color,
            // Later runs are drawn with ever longer gaps: a drift is seen by it.
            dash: run === 0 ? undefined : `4 ${1 + run}`,
            ...(run > 0 && { unnamed: true as const }),
          })),
        )}
      />
      <chakra.p fontSize="13px" color="quiet">
        Lines that wander off in order, run after run, are warmth; one that stands apart is a knock or a slip.
        Every reading is in the table above.
      </chakra.p>
    </>
  )
}

const WAYS = [
  { key: 'up', word: 'going up', color: chartColors.lamp },
  { key: 'down', word: 'going down', color: chartColors.unknown },
] as const

/** What the readings come to: deviations with their bands, reversal and repeatability along the travel, each figure in the table. */
export const Figures = memo(function Figures() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const test = axis.fullTests.at(-1)
  const figures = test && attempt(() => fullFigures(context, test, test.gaugeStepUm ?? 0)).value
  if (!test || !figures) return null
  const { stations } = figures
  const [length, small] = [quantityFacts('length')[units], quantityFacts('smallLength')[units]]
  const um = (value: number) => value / small.perUnit
  const at = ({ target }: Station) => target.targetMm / length.perUnit
  const words = (value: number) => say(value, 'smallLength', units)
  const x = { key: 'place', label: `target, ${length.unit}` }
  const y = { label: small.unit, decimals: small.decimals }
  const columns: TableColumn<Station>[] = [
    {
      id: 'target',
      head: 'Target',
      figures: true,
      cell: ({ target }) => say(target.targetMm, 'length', units, 2),
    },
    { id: 'up', head: 'Mean going up', figures: true, cell: ({ up }) => words(up.mean) },
    { id: 'down', head: 'Mean going down', figures: true, cell: ({ down }) => words(down.mean) },
    { id: 'reversal', head: 'Reversal', figures: true, cell: ({ reversalUm }) => words(reversalUm) },
    { id: 'repeatUp', head: 'Repeats, up', figures: true, cell: ({ up }) => words(4 * up.deviation) },
    { id: 'repeatDown', head: 'Repeats, down', figures: true, cell: ({ down }) => words(4 * down.deviation) },
  ]
  return (
    <chakra.div mt="4" display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="3" data-full-figures>
      <Stated>
        <strong>{isQuick(figures.targets) ? 'Quick test' : 'By ISO 230-2'}:</strong> accuracy{' '}
        {words(figures.accuracyUm)}, systematic {words(figures.systematicDeviationUm)}, repeatability{' '}
        {words(figures.repeatabilityUm)}, reversal {words(figures.reversalUm)} (mean{' '}
        {words(figures.meanReversalUm)}
        ).
      </Stated>
      <SavedLines
        name="deviations at each target"
        label="Chart of the deviations at each target, going up and going down, with bands of two deviations"
        rows={stations.map(one => ({
          place: at(one),
          up: um(one.up.mean),
          down: um(one.down.mean),
          upHigh: um(one.up.mean + 2 * one.up.deviation),
          downLow: um(one.down.mean - 2 * one.down.deviation),
          upLow: um(one.up.mean - 2 * one.up.deviation),
          downHigh: um(one.down.mean + 2 * one.down.deviation),
        }))}
        x={x}
        y={y}
        series={[
          { key: 'up', name: 'going up', color: chartColors.lamp },
          { key: 'down', name: 'going down', color: chartColors.unknown },
          { key: 'upHigh', name: 'up, two deviations', color: chartColors.lamp, dash: '2 4' },
          { key: 'downHigh', name: 'down, two deviations', color: chartColors.unknown, dash: '2 4' },
          { key: 'upLow', name: 'up, below', color: chartColors.lamp, dash: '2 4', unnamed: true },
          { key: 'downLow', name: 'down, below', color: chartColors.unknown, dash: '2 4', unnamed: true },
        ]}
      />
      <SavedLines
        name="reversal and repeatability"
        label="Chart of the reversal and the repeatability along the travel"
        rows={stations.map(one => ({
          place: at(one),
          reversal: um(Math.abs(one.reversalUm)),
          repeat: um(one.repeatabilityUm),
        }))}
        x={x}
        y={y}
        series={[
          { key: 'reversal', name: 'reversal', color: chartColors.lamp },
          { key: 'repeat', name: 'repeatability, both ways', color: chartColors.ink, dash: '5 4' },
        ]}
        limits={[{ y: um(axis.goals.backlashTargetUm), label: 'accepted' }]}
      />
      <Fold name="Run by run" later>
        <RunByRun test={test} />
      </Fold>
      <Fold name="Figures of each target" later>
        <DataTable
          label="Figures of each target"
          columns={columns}
          rows={stations}
          rowId={({ target }) => target.id}
        />
        <CopyTable
          label="Figures of each target"
          cells={() => [
            columns.map(({ head }) => String(head)),
            ...stations.map(one => columns.map(({ cell }) => String(cell(one, 0)))),
          ]}
        />
      </Fold>
    </chakra.div>
  )
})
