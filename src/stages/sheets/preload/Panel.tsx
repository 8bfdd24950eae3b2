import type { PreloadRound } from '@/core/sheets/preload/model'
import { preloadRounds } from '@/core/sheets/preload/rounds'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { PreloadRange } from './PreloadRange'

const SCENE = {
  label:
    'The block is clamped to the bench, the base stands on the bench and the tip on the end of the screw: it reads more as the screw is pushed towards it',
  boxes: [
    { x: 10, y: 100, width: 280, height: 22, label: 'bench' },
    { x: 60, y: 40, width: 60, height: 60, label: 'block' },
    { x: 120, y: 64, width: 110, height: 12, label: '' },
    { x: 40, y: 56, width: 20, height: 28, label: '' },
  ],
  gauges: [{ base: [280, 100], dial: [256, 70], tip: [231, 70] }],
  words: [
    { at: [128, 56], text: 'push and pull ↔' },
    { at: [6, 50], text: 'locknut' },
  ],
} as const

const fieldsOf = ({ set }: PreloadRound) =>
  [
    'set',
    'gaugeStepUm',
    'playUm',
    ...(set === 'loose'
      ? (['turnedDeg', 'leverMm', 'scaleStepN', 'pullBeforeN', 'pullAfterN'] as const)
      : []),
  ] as const

/** The fixed block as it was set: the three ways to know it, and which this shop can read. */
export function PreloadPanel() {
  return (
    <RoundPanel
      rounds={preloadRounds}
      title="Bearings and locknut"
      checks={['align.preload']}
      fields={fieldsOf}
      picture={round => <PreloadRange round={round} />}
      scene={SCENE}
      words="Three ways to know a preload. Play at the screw’s end, pushed and pulled: it must be nil, and says no more than that. The turn of the locknut from where the play has just gone: a few degrees decide, so make a mark on nut and shaft. The drag that preload adds, read before and after with a scale on a lever: good to a factor of two, and often less than a scale can tell. Wrap the screw in tape or soft jaws while you hold it."
    />
  )
}
