import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { attempt } from '@/core/evaluation/attempt'
import type { NumberField, RowsField } from '@/core/field/field'
import { DRAG_PLACES, type DragRound, TURN_ANGLES, type TurnRound } from '@/core/sheets/drag/model'
import { dragMap, dragRounds, readingsOf, turnRounds } from '@/core/sheets/drag/rounds'
import { bandsOf } from '@/core/sheets/shared/rounds/bands'
import type { QuantityKind } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { useJob } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useAxis } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'
import { CauseBars } from './CauseBars'
import { ClutchPanel } from './ClutchPanel'
import { DragCurve } from './DragCurve'

const SCENE = {
  label:
    'A bar is clamped on the end of the screw and a spring scale pulls at its end, square to it, while the nut moves along',
  boxes: [
    { x: 40, y: 46, width: 36, height: 60, label: 'block' },
    { x: 76, y: 66, width: 190, height: 14, label: '' },
    { x: 150, y: 56, width: 50, height: 34, label: 'nut' },
    { x: 266, y: 46, width: 26, height: 60, label: '' },
    { x: 6, y: 18, width: 10, height: 60, label: '' },
    { x: 16, y: 68, width: 24, height: 10, label: '' },
  ],
  lines: [{ from: [11, 18], to: [90, 18] }],
  words: [
    { at: [96, 22], text: 'pull at the lever, square to it' },
    { at: [150, 48], text: '← away and back →' },
  ],
} as const

/** What a reading is, by what it is read with. */
const QUANTITY: Record<DragRound['by'], QuantityKind> = { torque: 'torque', scale: 'pull', clutch: 'ratio' }
const as = (field: NumberField, by: DragRound['by']): NumberField => ({ ...field, quantity: QUANTITY[by] })

const stationsOf = <T extends RowsField>(of: T, keys: readonly string[]) => {
  const made = (by: DragRound['by']): RowsField => ({
    ...of,
    of: Object.fromEntries(
      Object.entries(of.of).map(([key, field]) => [
        key,
        keys.includes(key) ? as(field as NumberField, by) : field,
      ]),
    ),
  })
  const all = { torque: made('torque'), scale: made('scale'), clutch: made('clutch') }
  return (round: { by: DragRound['by'] }) => all[round.by]
}
const placesOf = stationsOf(DRAG_PLACES, ['away', 'towards'])
const anglesOf = stationsOf(TURN_ANGLES, ['drag'])

const readWith = ({ by }: { by: DragRound['by'] }) =>
  by === 'scale'
    ? (['by', 'leverMm', 'step'] as const)
    : by === 'torque'
      ? (['by', 'step'] as const)
      : (['by'] as const)
const alongFields = (round: DragRound) => [...readWith(round), 'half'] as const
const turnFields = (round: TurnRound) => [...readWith(round), 'coupled', 'nutAtMm'] as const

const VIEWS = { along: 'Along the travel', turn: 'Over one turn', clutch: 'Drill’s clutch' } as const
type View = keyof typeof VIEWS

/** What it takes to turn the screw, and what binds. */
export function DragPanel() {
  const [view, setView] = useState<View>('along')
  return (
    <>
      <chakra.div role="group" aria-label="What is read" display="flex" gap="2" flexWrap="wrap">
        {(Object.keys(VIEWS) as View[]).map(one => (
          <Button
            key={one}
            variant={one === view ? 'lamp' : 'outline'}
            aria-pressed={one === view}
            onClick={() => setView(one)}
          >
            {VIEWS[one]}
          </Button>
        ))}
      </chakra.div>
      {view === 'along' && (
        <RoundPanel
          rounds={dragRounds}
          title="Drag along the travel"
          checks={['align.drag']}
          fields={alongFields}
          stations={placesOf}
          addLabel="Another place"
          scene={SCENE}
          words="Motor off, screw oiled, everything tight as it will run. Turn the screw slowly at each place, once away from the motor and once back, and note what it takes: by a torque driver, by a scale on a bar, or by the lowest setting of a drill’s clutch that just keeps it turning. Go as near to each end as the nut will. What its weight would wind down by itself hangs on a hoist meanwhile. Then, if something binds, take it apart by halves and begin a round each time."
          picture={round => <DragMap round={round} />}
        />
      )}
      {view === 'turn' && (
        <RoundPanel
          rounds={turnRounds}
          title="Drag over one turn"
          checks={['align.turn', 'align.drag']}
          fields={turnFields}
          stations={anglesOf}
          addLabel="Another angle"
          scene={SCENE}
          words="Make a mark on the screw. With the nut at one place, well away from what holds the screw, turn slowly and note what it takes at each eighth of a turn. Once with the coupler on, once with it off: what is gone with the coupler off was the coupler."
        />
      )}
      {view === 'clutch' && <ClutchPanel />}
    </>
  )
}

function DragMap({ round }: { round: DragRound }) {
  const context = useSettledEvaluation()
  const shop = useJob(job => job.shop)
  const spanMm = useAxis(axis => axis.dimensions.supportSpanMm.value)
  const along = attempt(() => readingsOf(round, shop)).value
  const found = attempt(() => dragMap(context)).value
  if (!along || spanMm === null) return null
  const shown = round.half === 'whole' ? found : null
  return (
    <>
      <DragCurve
        along={along}
        spanMm={spanMm}
        bands={shown ? bandsOf(shown.map, shown.read) : undefined}
        named={shown?.map.named}
        isFarFree={context.axis.ends === 'fixed-free'}
      />
      {shown && <CauseBars map={shown.map} />}
    </>
  )
}
