import { overhangRounds } from '@/core/sheets/overhang/rounds'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base stands on the bed, the tip on top of the outer edge of the motor’s bracket: it reads more where the bracket stands higher',
  boxes: [
    { x: 10, y: 104, width: 280, height: 18, label: 'bed' },
    { x: 10, y: 54, width: 60, height: 50, label: 'casting' },
    { x: 70, y: 60, width: 110, height: 10, label: '' },
    { x: 96, y: 70, width: 70, height: 30, label: 'motor' },
  ],
  gauges: [{ base: [240, 104], dial: [172, 30], tip: [172, 59] }],
  words: [{ at: [76, 54], text: 'bracket' }],
} as const

const FIELDS = [
  'gaugeStepUm',
  'withoutUm',
  'withUm',
  'againUm',
  'overhangMm',
  'wayHalfLengthMm',
  'weightArmMm',
  'weightOnKg',
] as const

/** What weight does to what is being set. */
export function OverhangPanel() {
  return (
    <RoundPanel
      rounds={overhangRounds}
      title="Overhang and droop"
      checks={['align.droop', 'align.overhang']}
      fields={FIELDS}
      scene={SCENE}
      words="A motor hangs from its bracket and draws the end of the screw down with it: read the bracket’s outer edge from above without the motor, then with it bolted on, the dial untouched between. A slide that is run out over its end so that a bracket can be reached tips, or lifts at one end: a weight on its other end keeps it down. It comes off again before the slide runs back."
    />
  )
}
