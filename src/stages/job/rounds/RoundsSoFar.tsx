import { chakra } from '@chakra-ui/react'
import { Printer } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { addNote } from '@/core/document/logEdits'
import type { CheckId } from '@/core/sheets'
import type { Round } from '@/core/sheets/shared/rounds/model'
import { cameTo, type Rounds, wentWorse } from '@/core/sheets/shared/rounds/rounds'
import { onBothScrews } from '@/core/sheets/shared/rounds/screws'
import { momentWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useEdit, useJob, useJobContext } from '../JobContext'
import { PlaceButton } from '../PlaceLink'
import { useSettledEvaluation } from '../useEvaluation'

const LONGEST_FIX = 200

/** All rounds of a sheet: what each came to, what was done before it, and whether it made things worse. */
export function RoundsSoFar<R extends Round>({
  rounds,
  checks,
  children,
}: {
  rounds: Rounds<R>
  checks: readonly CheckId[]
  /** What is drawn of them. */
  children?: ReactNode
}) {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const { screws } = axis.drive
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const all = rounds.pick(axis)
  // What is proved stands on the record of the axis, what is set on that of its alignment.
  const proved = checks.some(checkId => context.finding(checkId)?.stage === 'prove')
  const worsts = all.map(round => cameTo(rounds, context, round))
  return (
    <Panel
      title="Rounds so far"
      action={
        <PlaceButton variant="outline" place={{ jobId, axisId, stage: proved ? 'record' : 'alignment' }}>
          <Printer size={16} aria-hidden /> {proved ? 'Record of the axis' : 'Alignment record'}
        </PlaceButton>
      }
    >
      <Stated as="ol" display="grid" gap="1.5" css={{ listStyle: 'none' }}>
        {all.map((round, index) => {
          const worst = worsts[index] ?? null
          // Each round is judged as if it were the last of its screw.
          const before = all.slice(0, index + 1).filter(({ screw }) => screw === round.screw)
          const last = before.at(-2)
          const worse = !!last && wentWorse(worsts[all.indexOf(last)], worst)
          const judged = context.with({
            ...axis,
            ...rounds.only(screws === 2 ? onBothScrews(before) : before),
          })
          return (
            <chakra.li key={round.id} display="flex" gap="3" flexWrap="wrap" alignItems="center">
              <chakra.strong>
                Round {index + 1}
                {screws === 2 && round.screw && `, ${round.screw} screw`}
              </chakra.strong>
              <chakra.span color="quiet">{momentWords(round.startedAt)}</chakra.span>
              <chakra.span fontFamily="mono">
                {worst === null
                  ? 'not read yet'
                  : `${rounds.worstWords} ${say(worst.value, worst.quantity, units)}`}
              </chakra.span>
              {checks
                .flatMap(checkId => round.closedWith?.states[checkId] ?? judged.finding(checkId)?.state ?? [])
                .map((state, at) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: marks of the checks of a sheet, which stay in their order
                  <StateMark key={at} state={state} />
                ))}
              {round.done && <chakra.span>after: {round.done}</chakra.span>}
              {worse && (
                <chakra.strong color="fails">
                  Worse than the round before: undo what was done, or it went the wrong way.
                </chakra.strong>
              )}
            </chakra.li>
          )
        })}
      </Stated>
      {children}
      <TemporaryShim about={rounds.about} />
    </Panel>
  )
}

/** A shim of beer can holds a test, not a machine: it stands in the log until it is mended. */
function TemporaryShim({ about }: { about: string }) {
  const edit = useEdit()
  const { axisId } = useJobContext()
  const [text, setText] = useState('')
  const note = () => {
    edit(addNote(axisId, `${about}: ${text.trim()}`, 'fix'))
    setText('')
  }
  return (
    <chakra.div mt="3" display="flex" gap="2" alignItems="flex-end" flexWrap="wrap">
      <chakra.div flex="0 1 380px">
        <TextField
          label="Put in for now, to be done properly later"
          placeholder="two layers of foil under the block"
          maxLength={LONGEST_FIX}
          value={text}
          onChange={event => setText(event.currentTarget.value)}
        />
      </chakra.div>
      <Button variant="outline" disabled={text.trim() === ''} onClick={note}>
        Note it as a temporary fix
      </Button>
    </chakra.div>
  )
}
