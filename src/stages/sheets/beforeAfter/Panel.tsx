import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { type ReversalTested, reversalTests } from '@/core/acceptance/reversalTests'
import { compareTests } from '@/core/sheets/shared/proofs/compare'
import { dayWords } from '@/core/units/dateWords'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { Compared } from '../../job/gauge/Compared'
import { useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useSettledAxis } from '../../job/useAxis'

/** The last test and the one before it of the same places: what a comparison begins with. */
function lastPair(tests: readonly ReversalTested[]): [ReversalTested, ReversalTested] | null {
  const after = tests.at(-1)
  const before = tests.slice(0, -1)
  const first =
    after &&
    (before.findLast(one => compareTests(one, after).some(({ positionMm }) => positionMm !== null)) ??
      before.at(-1))
  return first && after ? [first, after] : null
}

/** Two tests, place by place: only a difference larger than its uncertainty counts. */
export function BeforeAfterPanel() {
  const axis = useSettledAxis()
  const jobId = useJob(job => job.id)
  const [beforeId, setBeforeId] = useState<string | null>(null)
  const [afterId, setAfterId] = useState<string | null>(null)
  const tests = reversalTests(axis)
  const pair = lastPair(tests)
  const before = tests.find(({ id }) => id === beforeId) ?? pair?.[0]
  const after = tests.find(({ id }) => id === afterId) ?? pair?.[1]
  const note =
    'A difference counts only when it is larger than what the readings are uncertain by, 19 times in 20. Anything less is their noise.'
  if (!before || !after)
    return (
      <Panel title="Before and after" note={note}>
        <p>
          {tests.length === 0
            ? 'No test yet. Test the axis as it is, change one thing, and test it again at the same places.'
            : 'One test so far. Change one thing, and test again at the same places: it is compared here.'}
        </p>
        <PlaceButton
          mt="2"
          variant="lamp"
          place={{ jobId, axisId: axis.id, stage: 'prove', sheet: 'reversal' }}
        >
          To the reversal test
        </PlaceButton>
      </Panel>
    )
  const options = tests.map(({ id, label, startedAt }) => ({
    value: id,
    label: `${label}, ${dayWords(startedAt)}`,
  }))
  return (
    <Panel title="Before and after" note={note}>
      <chakra.div display="flex" gap="3" flexWrap="wrap" mb="3">
        <SelectField label="Before" value={before.id} options={options} onChange={setBeforeId} />
        <SelectField label="After" value={after.id} options={options} onChange={setAfterId} />
      </chakra.div>
      <Compared lines={compareTests(before, after)} names={['before', 'after']} />
    </Panel>
  )
}
