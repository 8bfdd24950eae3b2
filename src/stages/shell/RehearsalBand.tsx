import { chakra } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import type { Rehearsal } from '@/core/practice/rehearse'
import { SLIP_WORDS } from '@/core/practice/slips'
import { WHAT_IFS, type WhatIf, type WhatIfId } from '@/core/practice/whatIfs'
import { type SheetId, sheetOf } from '@/core/sheets'
import { RehearsalSession } from '@/store/rehearsalSession'
import { Columns } from '@/ui/Columns'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Note, Stated } from '@/ui/Note'
import type { RehearsalAnswer } from '@/workers/protocol'
import { JobContextProvider, useUnits } from '../job/JobContext'
import { useSettledAxis, useSettledJob } from '../job/useAxis'
import { useTask } from '../job/useEvaluation'
import { useAnswer } from '../job/useRun'
import { PANELS } from '../sheets/panels.generated'

const NONE = 'none'
type OrNone<T extends string> = T | typeof NONE
type Slip = NonNullable<Rehearsal['slip']>
const SLIPS: readonly { value: OrNone<Slip>; label: string }[] = [
  { value: NONE, label: 'reads rightly' },
  ...(Object.keys(SLIP_WORDS) as Slip[]).map(value => ({ value, label: SLIP_WORDS[value] })),
]

/** The sheet once more, with a table that was read on the virtual axis: nothing of it goes into the job. */
export function RehearsalBand({ sheet }: { sheet: SheetId }) {
  const [rehearsal, setRehearsal] = useState<Rehearsal>({ whatIf: null, slip: null, seed: 1 })
  const task = useTask(useSettledAxis())
  const ask = useCallback(async (): Promise<RehearsalAnswer> => {
    const { askPractice } = await import('@/workers/client')
    const at = new Date().toISOString()
    return askPractice<RehearsalAnswer>(async practice =>
      practice.rehearse({ ...task, sheet, rehearsal, at }),
    )
  }, [task, sheet, rehearsal])
  const answer = useAnswer(ask, `${sheet} ${task.axis.id}`)
  return (
    <chakra.section
      aria-label="Simulated readings"
      data-rehearsal
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="brass"
      borderRadius="8px"
      p="3"
      display="grid"
      gap="3"
      gridTemplateColumns="minmax(0, 1fr)"
    >
      <chakra.div display="flex" gap="3" alignItems="baseline" flexWrap="wrap">
        <chakra.h2 fontSize="17px" fontWeight={700}>
          Simulated: what would I read if …
        </chakra.h2>
        <Note>Read on a virtual axis made from this job’s figures. Nothing of it goes into the job.</Note>
      </chakra.div>
      <Supposed rehearsal={rehearsal} answer={answer} onChange={setRehearsal} />
      <Read sheet={sheet} answer={answer} axisId={task.axis.id} />
    </chakra.section>
  )
}

interface SupposedProps {
  rehearsal: Rehearsal
  answer: RehearsalAnswer | null
  onChange: (rehearsal: Rehearsal) => void
}

/** What is supposed: what is wrong, how large it is, and how the hand reads. */
function Supposed({ rehearsal, answer, onChange }: SupposedProps) {
  const { whatIf, slip, seed } = rehearsal
  const units = useUnits()
  const ids = answer && answer.ask === undefined ? answer.supposable.map(({ id }) => id) : []
  const what: WhatIf | null = whatIf && WHAT_IFS[whatIf.id]
  const suppose = (id: OrNone<WhatIfId>) =>
    onChange({
      ...rehearsal,
      whatIf: id === NONE ? null : { id, size: WHAT_IFS[id].size.blank as number },
    })
  return (
    <Columns leastPx={220}>
      <SelectField<OrNone<WhatIfId>>
        label="What would I read if"
        value={whatIf?.id ?? NONE}
        options={[
          { value: NONE, label: 'nothing were wrong' },
          ...ids.map(id => ({ value: id, label: WHAT_IFS[id].label })),
        ]}
        onChange={suppose}
      />
      {whatIf && what && (
        <FieldInput<number | null>
          field={what.size}
          value={whatIf.size}
          units={units}
          onValue={size => size !== null && onChange({ ...rehearsal, whatIf: { ...whatIf, size } })}
        />
      )}
      <SelectField<OrNone<Slip>>
        label="And the hand that reads"
        value={slip ?? NONE}
        options={SLIPS}
        onChange={value => onChange({ ...rehearsal, slip: value === NONE ? null : value })}
      />
      <chakra.div alignSelf="end">
        <Button variant="outline" onClick={() => onChange({ ...rehearsal, seed: seed + 1 })}>
          Read it once more
        </Button>
      </chakra.div>
    </Columns>
  )
}

/** The sheet with that table, as it would stand if it had been read on the machine. */
function Read({ sheet, answer, axisId }: { sheet: SheetId; answer: RehearsalAnswer | null; axisId: string }) {
  const job = useSettledJob()
  const [refused, setRefused] = useState(false)
  const session = useMemo(() => {
    if (!answer || answer.ask !== undefined) return null
    const axes = job.axes.map(axis => (axis.id === axisId ? answer.axis : axis))
    return new RehearsalSession({ ...job, axes }, axisId, answer.table, () => setRefused(true))
  }, [answer, axisId, job])
  if (answer?.ask !== undefined) return <Stated>{answer.ask} Without it there is no axis to read on.</Stated>
  if (!session) return <Note aria-busy="true">It is read …</Note>
  const Panel = PANELS[sheet]
  return (
    <>
      {refused && (
        <Stated role="status" color="close" fontWeight={700}>
          Not done: that would change the job. Do it on {sheetOf(sheet).title} itself, above.
        </Stated>
      )}
      <JobContextProvider session={session} axisId={axisId} isRehearsed>
        <chakra.div display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
          <Panel />
        </chakra.div>
      </JobContextProvider>
    </>
  )
}
