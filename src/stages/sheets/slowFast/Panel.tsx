import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { spreadMm } from '@/core/readings/model'
import type { CheckId } from '@/core/sheets'
import { newReversalTest, setTestConditions, startTest } from '@/core/sheets/reversal/edits'
import type { ReversalTest } from '@/core/sheets/reversal/model'
import { lastChange } from '@/core/sheets/shared/proofs/age'
import { compareTests } from '@/core/sheets/shared/proofs/compare'
import { MANNER } from '@/core/sheets/shared/proofs/conditions'
import { latestPair, type Manner } from '@/core/sheets/shared/proofs/manner'
import { dayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { sentenceCase } from '@/core/units/sentenceCase'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable } from '@/ui/table/DataTable'
import { Compared } from '../../job/gauge/Compared'
import { useEdit, useJob, useUnits, whole } from '../../job/JobContext'
import { go } from '../../job/place'
import { Advice } from '../../job/rounds/Advice'
import { useAxis, useAxisNow, useSettledAxis } from '../../job/useAxis'

/** A slow feed is so much of the top speed. */
const SLOW_SHARE = 1 / 30

const feedOf = ({ goals }: Axis, fast: boolean): number => {
  const mmPerMin = goals.topSpeedMmPerMin * (fast ? 1 : SLOW_SHARE)
  return mmPerMin >= 100 ? Math.round(mmPerMin / 10) * 10 : Number(mmPerMin.toPrecision(2))
}

interface Half {
  word: string
  begin: (axis: Axis) => Partial<ReversalTest>
}
const HALVES: Readonly<Record<Manner, readonly [Half, Half]>> = {
  feed: [
    { word: 'slow', begin: axis => ({ feedMmPerMin: feedOf(axis, false) }) },
    { word: 'fast', begin: axis => ({ feedMmPerMin: feedOf(axis, true) }) },
  ],
  warmth: [
    { word: 'cold', begin: () => ({ warmth: 'cold' }) },
    { word: 'warm', begin: () => ({ warmth: 'warm' }) },
  ],
}

const TITLES: Readonly<Record<Manner, { title: string; check: CheckId; note: string }>> = {
  feed: {
    title: 'Slow against fast',
    check: 'prove.slowFast',
    note: 'The same test twice, at the same places: come to each slowly, then as fast as it goes, and read when it stands. Play is the same both times. What differs is lag, wind-up or stick, which no controller takes out.',
  },
  warmth: {
    title: 'Cold against warm',
    check: 'prove.coldWarm',
    note: 'The same test before the machine has run, and after an hour of work. What comes with warmth is a preload that goes, or a screw that has grown.',
  },
}
const MANNERS = ['feed', 'warmth'] as const

/** The same reversal slow and fast, cold and warm: play stays, and what changes is no play. */
export function SlowFastPanel() {
  return (
    <>
      <chakra.div
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' }}
      >
        {MANNERS.map(manner => (
          <Two key={manner} manner={manner} />
        ))}
      </chakra.div>
      {MANNERS.map(manner => (
        <PlaceByPlace key={manner} manner={manner} />
      ))}
      <Tests />
    </>
  )
}

/** What is compared, what it says, and how each half is begun. */
function Two({ manner }: { manner: Manner }) {
  const axis = useAxis(whole)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const jobId = useJob(job => job.id)
  const shop = useJob(job => job.shop)
  const units = useUnits()
  const { title, check, note } = TITLES[manner]
  const start = ({ word, begin }: Half) => {
    const now = axisNow()
    const travelMm = now.dimensions.wayTravelMm.value ?? now.goals.wantedTravelMm
    const test = newReversalTest(
      now,
      spreadMm(travelMm * 0.15, travelMm * 0.85, 3),
      {
        label: sentenceCase(word),
        startedAt: new Date().toISOString(),
        gaugeStepUm: now.tests.at(-1)?.gaugeStepUm ?? shop.gaugeStepUm,
        ...begin(now),
      },
      newId,
    )
    edit(startTest(now, test))
    go({ jobId, axisId: now.id, stage: 'prove', sheet: 'reversal' })
  }
  return (
    <Panel title={title} note={note}>
      <Advice checks={[check]} />
      <chakra.div display="flex" gap="2" flexWrap="wrap" mt="3">
        {HALVES[manner].map(half => {
          const { feedMmPerMin } = half.begin(axis)
          return (
            <Button key={half.word} variant="outline" onClick={() => start(half)}>
              Start a {half.word} test{feedMmPerMin && `, ${say(feedMmPerMin, 'speed', units)}`}
            </Button>
          )
        })}
      </chakra.div>
    </Panel>
  )
}

/** The latest two tests that can be compared, drawn and in figures. */
function PlaceByPlace({ manner }: { manner: Manner }) {
  const axis = useSettledAxis()
  const pair = latestPair(axis.tests, manner, lastChange(axis)?.at ?? null)
  if (!pair) return null
  const [first, second] = HALVES[manner]
  return (
    <Panel title={`${TITLES[manner].title}, place by place`}>
      <Stated mb="2">
        “{pair.before.label}” of {dayWords(pair.before.startedAt)} against “{pair.after.label}” of{' '}
        {dayWords(pair.after.startedAt)}.
      </Stated>
      <Compared lines={compareTests(pair.before, pair.after)} names={[first.word, second.word]} />
    </Panel>
  )
}

/** How each test was come to: what was not noted then can be noted here. */
function Tests() {
  const tests = useAxis(axis => axis.tests)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const units = useUnits()
  if (tests.length === 0) return null
  const put = (id: string, change: Partial<ReversalTest>, mergeKey?: string) =>
    edit(setTestConditions(axisNow(), id, change, mergeKey))
  return (
    <Panel
      title="How each test was taken"
      note="Two tests are compared when they differ in one of these alone, twice the feed or more."
    >
      <DataTable
        label="How each test was taken"
        columns={[
          {
            id: 'test',
            head: 'Test',
            cell: ({ label, startedAt }: ReversalTest) => `${label}, ${dayWords(startedAt)}`,
          },
          {
            id: 'feed',
            head: MANNER.feedMmPerMin.label,
            cell: ({ id, label, feedMmPerMin }: ReversalTest) => (
              <FieldInput
                field={MANNER.feedMmPerMin}
                label={`${MANNER.feedMmPerMin.label}, ${label}`}
                hideLabel
                value={feedMmPerMin}
                units={units}
                onValue={(value, mergeKey) => put(id, { feedMmPerMin: value }, mergeKey)}
              />
            ),
          },
          {
            id: 'warmth',
            head: MANNER.warmth.label,
            cell: ({ id, label, warmth }: ReversalTest) => (
              <FieldInput
                field={MANNER.warmth}
                label={`${MANNER.warmth.label}, ${label}`}
                hideLabel
                value={warmth}
                units={units}
                onValue={value => put(id, { warmth: value })}
              />
            ),
          },
        ]}
        rows={tests}
        rowId={({ id }) => id}
        leastPx={460}
      />
    </Panel>
  )
}
