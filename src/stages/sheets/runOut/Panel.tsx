import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { judgeWobbles } from '@/core/sheets/runOut/check'
import type { RunOutRound } from '@/core/sheets/runOut/model'
import { runOutRounds, wobblesOf } from '@/core/sheets/runOut/rounds'
import { say } from '@/core/units/print'
import { Stated } from '@/ui/Note'
import { StateMark } from '@/ui/verdicts/StateMark'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useSettledEvaluation } from '../../job/useEvaluation'

const SCENE = {
  label:
    'The screw lies in its block; the base stands on the bed and the tip on the journal: the needle goes up and down once a turn',
  boxes: [
    { x: 10, y: 100, width: 280, height: 22, label: 'bed' },
    { x: 36, y: 40, width: 46, height: 60, label: 'block' },
    { x: 82, y: 62, width: 196, height: 14, label: 'screw' },
    { x: 10, y: 64, width: 26, height: 10 },
  ],
  gauges: [{ base: [200, 100], dial: [240, 34], tip: [240, 61] }],
  words: [{ at: [96, 52], text: 'turn once round' }],
} as const

const FIELDS = ['gaugeStepUm'] as const

/** Where the screw runs out, and whether it matters there. */
export function RunOutPanel() {
  return (
    <RoundPanel
      rounds={runOutRounds}
      title="Run-out"
      checks={['align.runOut']}
      fields={FIELDS}
      addLabel="Another place"
      wide
      scene={SCENE}
      words="Base on the bed, tip square on the journal, on bare metal. Turn the screw slowly once round and note how far the needle goes from least to most. A screw’s end that nothing holds may wobble by tenths and do no harm; a journal in its bearing may not."
      after={round => <Wobbles round={round} />}
    />
  )
}

/** Each place that was read: whether it matters there, and why. */
function Wobbles({ round }: { round: RunOutRound }) {
  const context = useSettledEvaluation()
  const judged = attempt(() =>
    judgeWobbles(context, wobblesOf(round), (value, quantity, decimals) =>
      say(value, quantity, context.units, decimals),
    ),
  ).value
  if (!judged || judged.length < 2) return null
  return (
    <Stated as="ul" display="grid" gap="2">
      {judged.map(({ wobble, state, sentence }) => (
        <chakra.li key={wobble.id} display="flex" gap="2" alignItems="flex-start">
          <chakra.span flex="none">
            <StateMark state={state} />
          </chakra.span>
          {sentence}
        </chakra.li>
      ))}
    </Stated>
  )
}
