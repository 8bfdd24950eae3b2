import { chakra } from '@chakra-ui/react'
import { reversalTests } from '@/core/acceptance/reversalTests'
import { AT_95 } from '@/core/calculation/studentLaw'
import { nowOf } from '@/core/planning/days'
import { onTrend } from '@/core/sheets/playTrend/calculation'
import { type PlayTrend, playTrendOf, type TrendTest } from '@/core/sheets/playTrend/trend'
import { dayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { FiguresButton } from '../../job/FiguresButton'
import { useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** The line is drawn on so far beyond the last test, and no further than so many times what was run. */
const [BEYOND, MOST] = [1.25, 4]
const STEPS = 24

/** How the play of an axis grows as it runs: its tests, the line through them with its band, and the day it passes what is wanted. */
export function PlayTrendPanel() {
  const t = useSettledEvaluation()
  const jobId = useJob(job => job.id)
  const trend = playTrendOf(t, reversalTests(t.axis))
  const place = (stage: 'prove' | 'build', sheet: 'reversal' | 'grease') => ({
    jobId,
    axisId: t.axis.id,
    stage,
    sheet,
  })
  const isAsked = t.axis.lube.hoursPerWeek === null
  return (
    <Panel
      title="Trend of the play"
      note="Ball tracks, gib and locknut wear or settle as it runs. The largest reversal of each test since the last change, against the hours run by then: a line is drawn through them, and its band says how well it is known."
    >
      <Stated
        data-trend={trend.found ? (trend.found.trend.grows ? 'grows' : 'level') : 'unknown'}
        fontSize="15px"
      >
        {said(trend, t.axis.goals.backlashTargetUm, t.units)}{' '}
        {trend.found && (
          <FiguresButton
            of="the trend of the play"
            sentence="A straight line through the tests, each weighted by what it is uncertain by."
            names={['playTrend']}
          />
        )}
      </Stated>
      {trend.before > 0 && trend.changedAt && (
        <Note mt="1">
          {`${trend.before === 1 ? 'One test' : `${trend.before} tests`} from before the last change (${dayWords(trend.changedAt)}) ${trend.before === 1 ? 'is' : 'are'} left out: what was changed then is no wear.`}
        </Note>
      )}
      <chakra.div display="flex" gap="2" flexWrap="wrap" my="3">
        {isAsked && trend.tests.length > 0 && (
          <PlaceButton variant="lamp" place={place('build', 'grease')}>
            Say how many hours a week it runs
          </PlaceButton>
        )}
        <PlaceButton
          variant={isAsked && trend.tests.length > 0 ? 'outline' : 'lamp'}
          place={place('prove', 'reversal')}
        >
          To the reversal test
        </PlaceButton>
      </chakra.div>
      {trend.found && (
        <Trend trend={trend} found={trend.found} targetUm={t.axis.goals.backlashTargetUm} units={t.units} />
      )}
      {trend.tests.length > 0 && <Tests tests={trend.tests} units={t.units} withHours={!isAsked} />}
    </Panel>
  )
}

/** What the tests say, in a sentence or two. */
function said({ tests, found, changedAt }: PlayTrend, targetUm: number, units: UnitSystem): string {
  const since = changedAt ? ` since the last change (${dayWords(changedAt)})` : ''
  if (tests.length === 0)
    return `No reversal test${since} yet. Test the axis now, and again after some months at the same places.`
  if (tests.length === 1)
    return `One test${since} so far. Test it again at the same places once it has run for some months: two tests make a trend, a third one checks it.`
  if (!found)
    return 'How fast it wears is told by the hours that it ran between its tests: say how many it runs a week, and test on different days.'
  const { trend, reaches } = found
  const small = (um: number) => say(um, 'smallLength', units)
  const growth = `${say(trend.slopeUmPer1000H, 'wear', units)} (± ${say(AT_95 * trend.standardUmPer1000H, 'wear', units)})`
  const few = tests.length === 2 ? ' Two tests always make a straight line: a third would check it.' : ''
  if (!reaches)
    return `No growth that the readings could tell: ${growth}, which may be none.${few} Test again after some months.`
  const target = `the ${small(targetUm)} wanted`
  return `It grows by ${growth}. ${
    reaches.at === null
      ? `It has passed ${target}: see Find the fault for what wears, and mend it.`
      : `It passes ${target} about ${dayWords(reaches.at)}, ${
          reaches.earliest.slice(0, 10) <= nowOf(new Date()).day
            ? 'and may have by now: prove it again.'
            : `at the earliest ${dayWords(reaches.earliest)}: prove it again before then.`
        }`
  }${few}`
}

/** The tests with the line through them, its band, and what is wanted. */
function Trend({
  trend: { tests },
  found: { line, trend },
  targetUm,
  units,
}: {
  trend: PlayTrend
  found: NonNullable<PlayTrend['found']>
  targetUm: number
  units: UnitSystem
}) {
  const { perUnit, unit, decimals } = quantityFacts('smallLength')[units]
  const last = tests.at(-1)?.hours ?? 0
  const most = Math.max(last * BEYOND, Math.min(trend.reachesHours ?? 0, last * MOST))
  const readAt = new Map(tests.map(({ hours, valueUm }) => [hours, valueUm]))
  const places = [
    ...new Set([...Array.from({ length: STEPS + 1 }, (_, i) => (most * i) / STEPS), ...readAt.keys()]),
  ]
  const rows = places
    .toSorted((a, b) => a - b)
    .map(hours => {
      const { valueUm, expandedUm } = onTrend(line, hours)
      const read = readAt.get(hours)
      return {
        hours,
        read: read === undefined ? null : read / perUnit,
        line: valueUm / perUnit,
        low: Math.max(0, valueUm - expandedUm) / perUnit,
        high: (valueUm + expandedUm) / perUnit,
      }
    })
  return (
    <LineFigure
      label="Chart of the play against the hours run, with the line through the tests and its band"
      rows={rows}
      x={{ key: 'hours', label: 'hours run' }}
      y={{ label: unit, decimals }}
      series={[
        { key: 'line', name: 'line through the tests', color: chartColors.lamp },
        { key: 'low', name: 'its band, 19 in 20', color: chartColors.quiet, dash: '5 4' },
        { key: 'high', name: 'its upper edge', color: chartColors.quiet, dash: '5 4', unnamed: true },
        { key: 'read', name: 'tests', color: chartColors.ink, points: true },
      ]}
      limits={[{ y: targetUm / perUnit, label: `wanted, ${say(targetUm, 'smallLength', units)}` }]}
    />
  )
}

/** The tests that the line goes through. */
function Tests({
  tests,
  units,
  withHours,
}: {
  tests: readonly TrendTest[]
  units: UnitSystem
  withHours: boolean
}) {
  const columns: TableColumn<TrendTest>[] = [
    { id: 'test', head: 'Test', cell: ({ label }) => label },
    { id: 'day', head: 'Read on', cell: ({ startedAt }) => dayWords(startedAt) },
    ...(withHours
      ? [
          {
            id: 'hours',
            head: 'Hours run',
            figures: true,
            cell: ({ hours }: TrendTest) => say(hours, 'hours', units),
          },
        ]
      : []),
    {
      id: 'play',
      head: 'Largest reversal',
      figures: true,
      cell: ({ valueUm, standardUm }) =>
        `${say(valueUm, 'smallLength', units)} ± ${say(AT_95 * standardUm, 'smallLength', units)}`,
    },
  ]
  return (
    <chakra.div mt="3">
      <DataTable label="Tests of the trend" columns={columns} rows={tests} rowId={({ id }) => id} inert />
    </chakra.div>
  )
}
