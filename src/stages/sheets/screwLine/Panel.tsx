import { useMemo } from 'react'
import type { RowsField } from '@/core/field/field'
import { inItsWord } from '@/core/machine/movingPart'
import { isUpright } from '@/core/sheets/screwLine/judgePlane'
import { ALIGN_STATIONS } from '@/core/sheets/screwLine/model'
import { screwRounds } from '@/core/sheets/screwLine/rounds'
import { chartLater } from '@/ui/chart/chartLater'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { Schools } from '../../job/build/Schools'
import { whole } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useAxis } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

const RoundsChart = chartLater(() => import('./RoundsChart').then(module => module.RoundsChart), 190)

const HOW_WORDS =
  'Clamp the nut near the fixed end. Ride a dial indicator on the slide, its tip on top of the screw, and read at three or four places; then again with the tip on the side towards you. A larger reading means: higher, or nearer to you.'

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

/** A free end has no block. */
const FREE_SCENE = { ...SCENE, boxes: SCENE.boxes.filter(({ label }) => label !== 'far') }

const CHECKS = ['align.height', 'align.side'] as const
const FIELDS = [
  'gaugeStepUm',
  'clampedAtMm',
  'tight',
  'turnedTo',
  'tipLifted',
  'halfTurnHeightUm',
  'halfTurnSideUm',
] as const
/** A free end has no block that could be slack. */
const FREE_FIELDS = FIELDS.filter(key => key !== 'tight')
const SCHOOLS_HERE = ['ends', 'setBy'] as const

/** The line of the screw, round by round: which block to move, and by how much. */
export function ScrewLinePanel() {
  const axis = useAxis(whole)
  const spanMm = axis.dimensions.supportSpanMm.value
  const isFree = axis.ends === 'fixed-free'
  const stations = useMemo(() => {
    // A place of a round lies between the blocks.
    const { positionMm, ...readings } = ALIGN_STATIONS.of
    const of: RowsField = {
      ...ALIGN_STATIONS,
      of: { positionMm: { ...positionMm, min: 0, max: spanMm ?? positionMm.max }, ...readings },
    }
    return () => of
  }, [spanMm])
  if (spanMm === null)
    return (
      <Panel title="Line of the screw">
        <p>Measure first, under Survey: between the inner faces of the bearing blocks.</p>
      </Panel>
    )
  return (
    <RoundPanel
      rounds={screwRounds}
      title="Line of the screw"
      checks={CHECKS}
      fields={isFree ? FREE_FIELDS : FIELDS}
      stations={stations}
      addLabel="Another place"
      scene={isFree ? FREE_SCENE : SCENE}
      words={inItsWord(HOW_WORDS, axis)}
      also={<Schools keys={SCHOOLS_HERE} />}
      after={() => (
        <Note>
          Places are measured along the screw from the fixed block. A larger reading means{' '}
          {isUpright(axis) ? 'further out from the ways' : 'higher'}, or nearer to you. To raise a block, put
          shim stock under it; to lower it, take shim out or relieve its seat. Loosen only the block you move,
          with the nut run up to it.
        </Note>
      )}
      soFar={<Convergence />}
    />
  )
}

/** How the rounds converge. */
function Convergence() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const all = screwRounds.pick(axis)
  // Of two screws, the one that was read last.
  const rounds = all.filter(({ screw }) => screw === all.at(-1)?.screw)
  const worst = rounds.map(round => screwRounds.worst(context, round)?.value ?? null)
  return worst.length > 1 ? (
    <RoundsChart rounds={worst} targetUm={axis.goals.alignmentTargetUm} units={units} />
  ) : null
}
