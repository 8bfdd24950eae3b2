import { setIn } from '@/core/document/setIn'
import { COUNTERWEIGHT } from '@/core/sheets/counterweight/model'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { Panel } from '@/ui/Panel'
import { useUnits } from '../../job/JobContext'
import { How } from '../../job/rounds/How'
import { useAxis } from '../../job/useAxis'
import { useChange } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'

const SCENE = {
  label:
    'The table is run out over the end of the way it lies on: its middle stands beyond the middle of the way, and a weight lies on its other end',
  boxes: [
    { x: 60, y: 74, width: 120, height: 40, label: '' },
    { x: 90, y: 58, width: 190, height: 16, label: '' },
    { x: 92, y: 30, width: 24, height: 28, label: '' },
  ],
  lines: [
    { from: [120, 14], to: [120, 122], dashed: true },
    { from: [185, 14], to: [185, 74], dashed: true },
    { from: [120, 20], to: [185, 20] },
  ],
  words: [
    { at: [190, 24], text: 'middle beyond' },
    { at: [46, 48], text: 'weight' },
    { at: [220, 70], text: 'table' },
    { at: [68, 98], text: 'way' },
  ],
} as const

/** What a table that is run out over its end needs to stay down. */
export function CounterweightPanel() {
  const units = useUnits()
  const values = useAxis(axis => axis.counterweight)
  const change = useChange()
  return (
    <Panel
      title="Counterweight"
      note="While blocks are set, a table is run out so far that its end can be reached, and there its own weight tips it. Nothing is asked where it never leaves its way."
      action={<WorkingButton checkId="room.counterweight" of="the counterweight" />}
    >
      <How
        scene={SCENE}
        words="Run the table out by hand as far as it will be run, somebody at its other end, and measure from the middle of the way it lies on to its own middle: marks with a pencil do. The mass is the one under Survey, with what is clamped on it. What lies on the way’s middle third is steady; beyond that one end lifts, beyond the way it tips."
      />
      <FieldGrid
        fields={COUNTERWEIGHT.of}
        values={values}
        units={units}
        onValue={(key, value, mergeKey) =>
          change(COUNTERWEIGHT.of[key].label, axis => setIn(axis.counterweight, key, value), mergeKey)
        }
      />
    </Panel>
  )
}
