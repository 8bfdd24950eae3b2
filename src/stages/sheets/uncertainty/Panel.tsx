import { chakra } from '@chakra-ui/react'
import { onAxis } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import { fullFigures } from '@/core/sheets/fullTest/figures'
import { judgeOf } from '@/core/sheets/reversal/check'
import {
  CONTRIBUTORS,
  type Contributor,
  narrows,
  reversalWithAll,
  standardOf,
} from '@/core/sheets/shared/proofs/uncertainty'
import { UNCERTAINTY, type Uncertainty } from '@/core/sheets/shared/proofs/uncertaintyModel'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { Columns } from '@/ui/Columns'
import { BarsFigure } from '@/ui/chart/BarsFigure'
import { chartColors } from '@/ui/chart/chartColors'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Panel } from '@/ui/Panel'
import { CopyTable } from '@/ui/table/CopyTable'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** One figure of an axis with what it is uncertain by. */
interface Figure {
  name: string
  um: number
  targetUm: number
  expandedUm: number
  contributors: readonly Contributor[]
}

/** What the last tests come to, each with its contributors; those that were not read are left out. */
function useFigures(): Figure[] {
  const context = useSettledEvaluation()
  const { axis } = context
  const { backlashTargetUm, accuracyTargetUm } = axis.goals
  const test = axis.tests.at(-1)
  const judged = test && judgeOf(context, test)
  const full = axis.fullTests.at(-1)
  const figures = full && attempt(() => fullFigures(context, full, full.gaugeStepUm ?? 0)).value
  return [
    ...(judged
      ? [
          {
            name: `Reversal, “${test.label}”`,
            um: judged.verdict.reversalUm,
            targetUm: backlashTargetUm,
            ...reversalWithAll(context, 'shown', judged.figures, test.gaugeStepUm ?? 0),
          },
        ]
      : []),
    ...(figures
      ? [
          {
            name: `Accuracy, “${full.label}”`,
            um: figures.accuracyUm,
            targetUm: accuracyTargetUm,
            expandedUm: figures.accuracyExpandedUm,
            contributors: figures.accuracyContributors,
          },
        ]
      : []),
  ]
}

/** What the figures of the last tests are uncertain by, contributor by contributor, and what would narrow it. */
export function UncertaintyPanel() {
  const units = useUnits()
  const of = useAxis(axis => axis.uncertainty)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const figures = useFigures()
  const put = (key: keyof Uncertainty, value: number | null, mergeKey?: string) =>
    edit(
      onAxis(
        axisNow(),
        UNCERTAINTY.of[key].label,
        draft => {
          draft.uncertainty[key] = value
        },
        { mergeKey },
      ),
    )
  return (
    <>
      <Panel
        title="Uncertainty"
        note="A verdict holds only when the figure with all it is uncertain by is within what is accepted. What the readings and the step of the gauge bring is known from the tests; the rest nobody can read off them. What is left empty is not counted, and the verdict is surer than it should be."
      >
        <Columns>
          {(Object.keys(UNCERTAINTY.of) as (keyof Uncertainty)[]).map(key => (
            <FieldInput
              key={key}
              field={UNCERTAINTY.of[key]}
              value={of[key]}
              units={units}
              onValue={(value, mergeKey) => put(key, value, mergeKey)}
            />
          ))}
        </Columns>
      </Panel>
      {figures.length === 0 ? (
        <Panel title="What the figures are uncertain by">
          <chakra.p color="quiet">
            Nothing is read yet: a reversal test or a full test with two readings from either side comes
            first.
          </chakra.p>
        </Panel>
      ) : (
        figures.map(figure => <OneFigure key={figure.name} figure={figure} />)
      )}
    </>
  )
}

const LAWS: Readonly<Record<Contributor['distribution'], string>> = {
  normal: 'spread, half width at 95 %',
  uniform: 'anywhere within',
  triangular: 'mostly in the middle',
}

function OneFigure({ figure: { name, um, targetUm, expandedUm, contributors } }: { figure: Figure }) {
  const units = useUnits()
  const small = (value: number) => say(value, 'smallLength', units, units === 'mm' ? 1 : 2)
  const { unit, perUnit, decimals } = quantityFacts('smallLength')[units]
  const square = contributors.reduce((sum, one) => sum + standardOf(one) ** 2, 0)
  const most = contributors.reduce((largest, one) => (standardOf(one) > standardOf(largest) ? one : largest))
  const roomUm = Math.abs(targetUm - um)
  const columns: TableColumn<Contributor>[] = [
    { id: 'what', head: 'Contributor', cell: one => CONTRIBUTORS[one.name].label },
    {
      id: 'half',
      head: 'To either side',
      figures: true,
      cell: one => small(one.halfWidthUm * Math.abs(one.sensitivity)),
    },
    { id: 'law', head: 'How it falls', cell: one => LAWS[one.distribution] },
    { id: 'standard', head: 'Standard', figures: true, cell: one => small(standardOf(one)) },
    {
      id: 'share',
      head: 'Share',
      figures: true,
      cell: one => (square > 0 ? `${Math.round((100 * standardOf(one) ** 2) / square)} %` : ''),
    },
    { id: 'less', head: 'Less by', cell: one => CONTRIBUTORS[one.name].less },
  ]
  const rows = [...contributors].toSorted((a, b) => standardOf(b) - standardOf(a))
  return (
    <Panel title={name}>
      <chakra.p data-uncertain>
        <strong>
          {small(um)} ± {small(expandedUm)}
        </strong>{' '}
        at 95 %, against {small(targetUm)} accepted.{' '}
        {expandedUm > roomUm
          ? `That is too near to tell. ${narrows(most.name)}`
          : `It stands ${small(roomUm)} clear of it, more than it is uncertain by.`}
      </chakra.p>
      <BarsFigure
        label={`Chart of the standard uncertainty of ${name} by contributor`}
        parts={[{ name: 'standard uncertainty', color: chartColors.lamp }]}
        bars={rows.map(one => ({
          name: CONTRIBUTORS[one.name].label,
          of: { 'standard uncertainty': standardOf(one) / perUnit },
        }))}
        unit={unit}
        decimals={decimals}
        namePx={200}
      />
      <Fold name="Contributor by contributor">
        <DataTable
          label={`Contributors, ${name}`}
          columns={columns}
          rows={rows}
          rowId={one => one.name}
          leastPx={640}
        />
        <CopyTable
          label={`Contributors, ${name}`}
          cells={() => [
            ['Contributor', `Half width, ${unit}`, 'Law', `Standard, ${unit}`, 'Degrees of freedom'],
            ...rows.map(one => [
              CONTRIBUTORS[one.name].label,
              small(one.halfWidthUm * Math.abs(one.sensitivity)),
              one.distribution,
              small(standardOf(one)),
              one.degreesOfFreedom === null ? '' : one.degreesOfFreedom.toFixed(1),
            ]),
          ]}
        />
      </Fold>
    </Panel>
  )
}
