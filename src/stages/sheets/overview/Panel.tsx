import { chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import { STAGE_WORDS, STAGES } from '@/core/document/stages'
import { driveLine } from '@/core/drawing/driveLine'
import { countWords, STATE_WORDS, stageState } from '@/core/evaluation/finding'
import { stateCounts } from '@/core/evaluation/verdictGroups'
import { stillToMeasure } from '@/core/machine/stillToMeasure'
import type { Standing } from '@/core/planning/next'
import { money } from '@/core/units/print'
import { DriveStrip } from '@/ui/driveline/DriveStrip'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { DueNow } from '../../job/DueNow'
import { useJob, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { whenWords, workWords } from '../../job/plan/planWords'
import { usePlan } from '../../job/plan/usePlan'
import { useAsked, useStandings } from '../../job/standing'
import { useSettledJob } from '../../job/useAxis'
import { evaluationOf, useCatalogue } from '../../job/useEvaluation'

/** The longest drive of the machine is drawn so wide; the others are to the same scale. */
const LONGEST_PX = 520

/** Where every axis of the machine stands: its drive, all at one scale, its verdicts, and what it needs next. */
export function OverviewPanel() {
  const axes = useJob(job => job.axes)
  const jobId = useJob(job => job.id)
  const catalogue = useCatalogue()
  const units = useUnits()
  const rows = useMemo(
    () =>
      axes.map(axis => {
        const context = evaluationOf(axis, catalogue, units)
        return { axis, context, line: driveLine(context, 0.5) }
      }),
    [axes, catalogue, units],
  )
  const standings = useStandings()
  const scale = LONGEST_PX / Math.max(1, ...rows.map(({ line }) => line.rightMm - line.leftMm))
  return (
    <Panel
      title="Overview"
      note="The drives are drawn at one scale. What is dashed is not chosen or not measured yet."
    >
      <EndDay />
      <DueNow asked={useAsked()} />
      <chakra.ul display="grid" gap="3">
        {rows.map(({ axis, context, line }) => (
          <chakra.li
            key={axis.id}
            data-overview={axis.name}
            borderTopWidth="1px"
            pt="3"
            display="grid"
            gap="2"
            gridTemplateColumns="minmax(0, 1fr)"
          >
            <chakra.div
              display="flex"
              flexWrap="wrap"
              alignItems="center"
              justifyContent="space-between"
              gap="2"
            >
              <PlaceButton
                data-words
                variant="quiet"
                ml="-3"
                place={{ jobId, axisId: axis.id, stage: 'survey' }}
              >
                Axis {axis.name}: {axis.title}
              </PlaceButton>
              <Counts context={context} />
            </chakra.div>
            <chakra.div display="flex" flexWrap="wrap" gap="4" alignItems="center">
              <chakra.div overflowX="auto" flex="0 1 auto" minW="0">
                <DriveStrip line={line} scale={scale} />
              </chakra.div>
              <chakra.div flex="1 1 260px" minW="0">
                <Stages context={context} />
                <Progress standing={standings?.find(({ axisId }) => axisId === axis.id)} />
              </chakra.div>
            </chakra.div>
            <Next axis={axis} jobId={jobId} standing={standings?.find(({ axisId }) => axisId === axis.id)} />
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

/** When everything is done, by the plan. */
function EndDay() {
  const { plan, now, failed } = usePlan(useSettledJob(), null)
  if (failed) return null
  if (!plan)
    return (
      <chakra.p mb="3" color="quiet" aria-busy>
        Laying the plan…
      </chakra.p>
    )
  return (
    <chakra.p mb="3" data-end-day>
      {plan.kind === 'plan' ? (
        <>
          <strong>Everything is done on {whenWords(now.day, plan.finishMinute)}</strong>, with{' '}
          {workWords(plan.handsMinutes)} of work.
        </>
      ) : plan.reason === 'done' ? (
        'Everything is done.'
      ) : (
        'There is no plan that ends: the schedule says why.'
      )}
    </chakra.p>
  )
}

/** How each stage of an axis stands; one that nothing is known of has no mark. */
function Stages({ context: { axis, findings } }: { context: ReturnType<typeof evaluationOf> }) {
  const open = stillToMeasure(axis).length
  return (
    <chakra.ul display="flex" flexWrap="wrap" columnGap="4" rowGap="1">
      <Stated as="li">
        {STAGE_WORDS.survey.label}: {open > 0 ? `${open} open` : 'all measured'}
      </Stated>
      {STAGES.filter(stage => stage !== 'survey' && stage !== 'log').map(stage => {
        const state = stageState(findings.filter(finding => finding.stage === stage))
        return (
          <Stated as="li" key={stage} display="inline-flex" alignItems="center" gap="1.5">
            {STAGE_WORDS[stage].label}
            {state ? <StateShape state={state} label={STATE_WORDS[state]} /> : <Note as="span">–</Note>}
          </Stated>
        )
      })}
    </chakra.ul>
  )
}

/** How far it is built, and what it costs. */
function Progress({ standing }: { standing: Standing | undefined }) {
  if (!standing) return null
  const { steps, costs } = standing
  return (
    <Stated mt="2" color="quiet">
      {steps.done} of {steps.of} steps done. Ordered {money(costs.orderedEur)}, to come{' '}
      {money(costs.toComeEur)}
      {costs.unpriced > 0 && `, and ${costs.unpriced} without a price`}.
    </Stated>
  )
}

function Counts({ context }: { context: ReturnType<typeof evaluationOf> }) {
  return (
    <Stated as="span" display="inline-flex" flexWrap="wrap" gap="3">
      {stateCounts(context.findings).map(({ state, count }) => (
        <chakra.span key={state} display="inline-flex" alignItems="center" gap="1.5">
          <StateShape state={state} />
          {countWords(state, count)}
        </chakra.span>
      ))}
    </Stated>
  )
}

function Next({ axis, jobId, standing }: { axis: Axis; jobId: string; standing: Standing | undefined }) {
  const next = standing?.next
  if (!next)
    return (
      <chakra.p color="quiet" aria-busy={!standing || undefined}>
        Axis {axis.name}: {standing ? 'nothing left to do.' : 'what is next is being worked out …'}
      </chakra.p>
    )
  return (
    <div>
      <PlaceButton
        data-words
        place={{ jobId, axisId: axis.id, stage: next.stage, sheet: next.sheet }}
        variant="outline"
        justifyContent="flex-start"
        textAlign="left"
      >
        <strong>Next</strong> {next.text}
      </PlaceButton>
    </div>
  )
}
