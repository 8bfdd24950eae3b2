import { chakra } from '@chakra-ui/react'
import { Plus } from 'lucide-react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { withGauge } from '@/core/document/shop'
import type { EvaluationContext } from '@/core/evaluation/context'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { blankRow } from '@/core/field/field'
import { wentWorse } from '@/core/machine/align/rounds'
import { inItsWord } from '@/core/machine/movingPart'
import { spreadMm } from '@/core/machine/readings'
import type { CheckId } from '@/core/sheets'
import {
  addAlignStation,
  finishRound,
  removeRound,
  setClampedAt,
  setRoundDone,
  setRoundGauge,
  startRound,
} from '@/core/sheets/screwLine/edits'
import { lineSetting, worstCorrectionUm } from '@/core/sheets/screwLine/judgeRound'
import { ALIGN_STATIONS, type AlignRound, ROUNDS } from '@/core/sheets/screwLine/model'
import { momentWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { chartLater } from '@/ui/chart/chartLater'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { QuantityField } from '@/ui/fields/QuantityField'
import { Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { GaugeFields } from '../../job/GaugeFields'
import { useEdit, useJob, useUnits, whole } from '../../job/JobContext'
import { How } from '../../job/rounds/How'
import { TemporaryShim } from '../../job/rounds/RoundsSoFar'
import { useAxis } from '../../job/useAxis'
import { useEvaluation, useSettledEvaluation } from '../../job/useEvaluation'

import { WorkingButton } from '../../job/WorkingButton'
import { AlignReadings } from './AlignReadings'

const RoundsChart = chartLater(() => import('./RoundsChart').then(module => module.RoundsChart), 190)

/** The line of the screw, round by round: which block to move, and by how much. */
export function ScrewLinePanel() {
  const axis = useAxis(whole)
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const spanMm = axis.dimensions.supportSpanMm.value
  const last = axis.rounds.at(-1)
  if (spanMm === null)
    return (
      <Panel title="Alignment">
        <p>Measure first, under Survey: between the inner faces of the bearing blocks.</p>
      </Panel>
    )
  const start = () => edit(startRound(axis, newRound(axis, spanMm, shop.gaugeStepUm)))
  return (
    <>
      {last && (
        <Round
          key={last.id}
          axis={axis}
          round={last}
          number={axis.rounds.length}
          spanMm={spanMm}
          onNext={start}
        />
      )}
      {!last && (
        <Panel title="First round">
          <How scene={SCENE} words={inItsWord(HOW_WORDS, axis)} />
          <Button variant="lamp" onClick={start}>
            Start a round
          </Button>
        </Panel>
      )}
      {axis.rounds.length > 0 && <Rounds spanMm={spanMm} />}
    </>
  )
}

const HOW_WORDS =
  'Clamp the nut near the fixed end. Ride a dial indicator on the slide, its tip on top of the screw, and read at three or four places; then again with the tip on the side towards you. A larger reading means: higher, or nearer to you. From the fixed end alone is two rounds as a rule, and leaves the far block where it was bolted; both ends in turn is three, and takes a screw that is not bent to its line. With calipers alone two hundredths are what can be told: enough to find a block that binds, not to set one.'

const SCENE = {
  label:
    'The base rides on the slide, the tip stands on top of the screw: it reads more where the screw stands higher',
  boxes: [
    { x: 10, y: 104, width: 280, height: 18, label: 'ways' },
    { x: 26, y: 54, width: 40, height: 50, label: 'fixed' },
    { x: 236, y: 54, width: 40, height: 50, label: 'far' },
    { x: 66, y: 72, width: 170, height: 12, label: '' },
    { x: 76, y: 64, width: 34, height: 28, label: 'nut' },
    { x: 130, y: 90, width: 60, height: 14, label: 'slide' },
  ],
  gauges: [{ base: [146, 90], dial: [176, 44], tip: [176, 71] }],
  words: [{ at: [200, 44], text: 'slide along →' }],
} as const

function newRound(axis: Axis, spanMm: number, gaugeStepUm: number | null): AlignRound {
  const before = axis.rounds.at(-1)
  const clampedAtMm = before?.clampedAtMm ?? Math.round(spanMm * 0.08)
  const places =
    before?.stations.map(station => station.positionMm) ?? spreadMm(clampedAtMm, spanMm * 0.85, 4)
  return {
    id: newId(),
    startedAt: new Date().toISOString(),
    finishedAt: null,
    done: null,
    clampedAtMm,
    // The same gauge as before, until another is named.
    gaugeStepUm: before?.gaugeStepUm ?? gaugeStepUm,
    stations: places.map(positionMm => blankRow(ALIGN_STATIONS, newId(), { positionMm })),
  }
}

interface RoundProps {
  axis: Axis
  round: AlignRound
  number: number
  spanMm: number
  onNext: () => void
}

/** The round that is being read, with what it says to do. */
function Round({ axis, round, number, spanMm, onNext }: RoundProps) {
  const units = useUnits()
  const edit = useEdit()
  const advice = planesOf(useEvaluation())
  const closed = round.finishedAt !== null
  const close = () => {
    // Written to the log in the units of the job, as it was read on the screen.
    const summary = `Round ${number}. ${advice.map(({ title, state, sentence }) => `${title}: ${STATE_WORDS[state].toLowerCase()}. ${sentence}`).join(' ')}`
    edit(finishRound(axis, round.id, new Date().toISOString(), summary))
  }
  return (
    <Panel
      title={`Round ${number}`}
      note="Places are measured along the screw from the fixed block. A larger reading means higher, or nearer to you. The nut stays clamped, so the screw turns about that point."
      action={
        closed ? (
          <Button variant="lamp" onClick={onNext}>
            Start the next round
          </Button>
        ) : (
          <chakra.div display="flex" gap="2">
            <Button variant="danger" onClick={() => edit(removeRound(axis, round.id))}>
              Delete the round
            </Button>
            <Button variant="lamp" onClick={close}>
              Close the round
            </Button>
          </chakra.div>
        )
      }
    >
      <chakra.div display="grid" gridTemplateColumns="minmax(0, 1fr)" gap="3" data-readings>
        <GaugeFields
          stepUm={round.gaugeStepUm}
          disabled={closed}
          onStep={(stepUm, mergeKey) =>
            edit(withGauge(setRoundGauge(axis, round.id, stepUm, mergeKey), stepUm))
          }
        >
          <chakra.div flex="0 1 250px">
            <QuantityField
              label="Nut clamped at"
              kind="length"
              units={units}
              min={0}
              max={spanMm}
              value={round.clampedAtMm}
              disabled={closed}
              onValue={(value, mergeKey) =>
                value !== null && edit(setClampedAt(axis, round.id, value, mergeKey))
              }
            />
          </chakra.div>
        </GaugeFields>
        {number > 1 && (
          <FieldInput
            field={ROUNDS.of.done}
            label="What was done since the last round"
            value={round.done}
            units={units}
            disabled={closed}
            onValue={value => edit(setRoundDone(axis, round.id, value as string))}
          />
        )}
        <AlignReadings axis={axis} round={round} spanMm={spanMm} />
        {!closed && (
          <chakra.div>
            <Button
              onClick={() =>
                edit(
                  addAlignStation(
                    axis,
                    round.id,
                    blankRow(ALIGN_STATIONS, newId(), { positionMm: Math.round(spanMm / 2) }),
                  ),
                )
              }
            >
              <Plus size={16} aria-hidden /> Another place
            </Button>
          </chakra.div>
        )}
      </chakra.div>
      <chakra.section aria-label="What to do" mt="4" display="grid" gap="2">
        {advice.map(finding => (
          <chakra.div key={finding.checkId} bg="raised" borderRadius="6px" p="3">
            <chakra.div display="flex" justifyContent="space-between" gap="2" flexWrap="wrap">
              <chakra.strong>{finding.title}</chakra.strong>
              <chakra.span display="inline-flex" gap="3" alignItems="center">
                <WorkingButton checkId={finding.checkId as CheckId} of={finding.title.toLowerCase()} />
                <StateMark state={finding.state} />
              </chakra.span>
            </chakra.div>
            <p>{finding.sentence}</p>
          </chakra.div>
        ))}
        <chakra.p color="quiet" fontSize="14px">
          To raise a block, put shim stock under it; to lower it, take shim out or relieve its seat. Loosen
          only the block you move, with the nut run up to it.
        </chakra.p>
      </chakra.section>
      <Fold name="How it is read">
        <How scene={SCENE} words={inItsWord(HOW_WORDS, axis)} />
      </Fold>
    </Panel>
  )
}

/** The findings of the two planes. */
const planesOf = (context: EvaluationContext) =>
  (['align.height', 'align.side'] as const satisfies CheckId[]).flatMap(
    checkId => context.finding(checkId) ?? [],
  )

const measureOf = (worstUm: number | null) =>
  worstUm === null ? null : { value: worstUm, quantity: 'smallLength' as const }

/** All rounds, and how they converge. */
function Rounds({ spanMm }: { spanMm: number }) {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const setting = lineSetting(context, spanMm)
  const rows = axis.rounds.map((round, index) => ({
    number: index + 1,
    at: round.startedAt,
    done: round.done,
    worstUm: worstCorrectionUm(round, setting),
    states: planesOf(context.with({ ...axis, rounds: [round] })),
  }))
  const judged = rows.map((row, index) => ({
    ...row,
    isWorse: wentWorse(measureOf(rows[index - 1]?.worstUm ?? null), measureOf(row.worstUm)),
  }))
  return (
    <Panel title="Rounds so far">
      <chakra.ul display="grid" gap="1.5" fontSize="14px" mb="3">
        {judged.map(row => (
          <chakra.li key={row.number} display="flex" gap="3" flexWrap="wrap" alignItems="center">
            <chakra.strong>Round {row.number}</chakra.strong>
            <chakra.span color="quiet">{momentWords(row.at)}</chakra.span>
            <chakra.span fontFamily="mono">
              {row.worstUm === null
                ? 'not read yet'
                : `largest correction ${say(row.worstUm, 'smallLength', units)}`}
            </chakra.span>
            {row.done && <chakra.span>after: {row.done}</chakra.span>}
            {row.isWorse && (
              <chakra.strong color="fails">
                Worse than the round before: undo what was done, or it went the wrong way.
              </chakra.strong>
            )}
            {row.states.map(finding => (
              <chakra.span key={finding.checkId} display="inline-flex" gap="1.5">
                {finding.checkId === 'align.height' ? 'height' : 'side'} <StateMark state={finding.state} />
              </chakra.span>
            ))}
          </chakra.li>
        ))}
      </chakra.ul>
      {rows.length > 1 && (
        <RoundsChart
          rounds={rows.map(row => row.worstUm)}
          targetUm={axis.goals.alignmentTargetUm}
          units={units}
        />
      )}
      <TemporaryShim about="Line of the screw" />
    </Panel>
  )
}
