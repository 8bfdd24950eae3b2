import type { GibRound } from '@/core/sheets/gib/model'
import { gibRounds, playsOf } from '@/core/sheets/gib/rounds'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { GibWedge } from './GibWedge'

const SCENE = {
  label:
    'The base stands on the saddle, the tip touches the side of the slide: it reads more as the slide comes towards it',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'saddle' },
    { x: 40, y: 52, width: 150, height: 40, label: 'slide' },
  ],
  gauges: [{ base: [262, 92], dial: [238, 66], tip: [191, 66] }],
  words: [{ at: [40, 40], text: 'push and pull the slide across ↔' }],
} as const

const fieldsOf = ({ kind }: GibRound) =>
  [
    'gaugeStepUm',
    'kind',
    'targetUm',
    ...(kind === 'tapered' ? (['taperRatio', 'screwPitchMm'] as const) : []),
    'locks',
  ] as const

/** The gib: play along the travel, and how far its screw turns. */
export function GibPanel() {
  return (
    <RoundPanel
      rounds={gibRounds}
      title="Gib"
      checks={['align.gib']}
      fields={fieldsOf}
      addLabel="Another place"
      scene={SCENE}
      words="Stand the base on what the slide runs on, the tip at the slide’s side, near the middle. At each place push the slide away from the gauge, set the dial to zero, pull it towards the gauge: that is the play. Read at a few places over the whole travel; then wind it through slowly and say where it locks."
      picture={round => <GibWedge plays={playsOf(round)} targetUm={round.targetUm} />}
    />
  )
}
