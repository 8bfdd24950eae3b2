import { chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import { diagnosis } from '@/core/diagnose/diagnosis'
import { newId } from '@/core/document/id'
import { openSearch, startSearch } from '@/core/sheets/findFault/edits'
import {
  CHECK_WORDS,
  checkName,
  FAULT_WORDS,
  type FaultId,
  outcomeWords,
} from '@/core/sheets/findFault/words'
import { percent } from '@/core/units/percent'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'
import { Answers } from './Answers'
import { ByFigures } from './ByFigures'
import { Found } from './Found'
import { NextChecks } from './NextChecks'
import { Suspects } from './Suspects'
import { useTwin } from './useTwin'

/** What is wrong with an axis, from a complaint to a mending by the checks that tell most in a minute. */
export function FindFaultPanel() {
  const context = useSettledEvaluation()
  const search = openSearch(context.axis)
  const twin = useTwin(search !== undefined)
  const found = useMemo(
    () => (search ? diagnosis(context, search, twin.twin) : null),
    [context, search, twin.twin],
  )
  if (!search || !found) return <Begin />
  return (
    <>
      <Found found={found} />
      <NextChecks found={found} />
      <Suspects found={found} />
      <ByFigures found={found} read={twin} />
      <Answers found={found} />
    </>
  )
}

/** No search is going on: what the last one found, and how one begins. */
function Begin() {
  const { axis } = useSettledEvaluation()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const last = axis.faultSearches.at(-1)
  const mended = (last?.mended ?? null) as FaultId | null
  const start = (carriesOn: boolean) =>
    edit(startSearch(axisNow(), newId(), new Date().toISOString(), carriesOn))
  return (
    <Panel
      title="Find the fault"
      note="Say what is wrong, as you would over the bench. Each answer, and every reading that is there already, makes some faults likelier and others less; the next check is the one that tells most in a minute. One fault at a time: mend it, test again, and go on without it if it is still wrong."
    >
      <OnTheLast />
      <SoFar />
      {mended && <Mended faultId={mended} />}
      <chakra.div display="flex" gap="2" flexWrap="wrap" mt="3">
        {mended && (
          <Button variant="lamp" onClick={() => start(true)}>
            Still wrong: search on without it
          </Button>
        )}
        <Button variant={mended ? 'outline' : 'lamp'} onClick={() => start(false)}>
          Start a search
        </Button>
      </chakra.div>
    </Panel>
  )
}

/** What the readings that are there point to already, before anything is asked. */
function SoFar() {
  const context = useSettledEvaluation()
  const found = useMemo(() => diagnosis(context, { answers: [] }), [context])
  // On an axis of which nothing is amiss there is no fault to point to, and nothing to loosen.
  const isAmiss = context.findings.some(
    ({ stage, state }) =>
      (stage === 'align' || stage === 'prove') && (state === 'fails' || state === 'close'),
  )
  const pointed = found.suspects.filter(({ pointsTo }) => pointsTo.length > 0).slice(0, MOST_SO_FAR)
  if (!isAmiss || pointed.length === 0) return null
  return (
    <chakra.div mt="3" data-so-far>
      <chakra.h3 fontWeight={700}>What the readings so far point to</chakra.h3>
      <Stated as="ol" mt="1" pl="5" listStyleType="decimal">
        {pointed.map(({ faultId, probability, pointsTo }) => (
          <li key={faultId}>
            <b>{FAULT_WORDS[faultId].name}</b>, {percent(probability)}
            {`: ${pointsTo.map(({ check, outcome }) => `${checkName(check)}, ${outcomeWords(check, outcome).toLowerCase()}`).join('; ')}`}
          </li>
        ))}
      </Stated>
      <Note mt="1">Before you have said anything: what you see and hear counts before it.</Note>
    </chakra.div>
  )
}
const MOST_SO_FAR = 3

/** Which faults the last machine of the kind had: what has gone wrong once is looked at first. */
function OnTheLast() {
  const last = useSettledEvaluation().axis.ofLast
  if (!last || last.mended.length === 0) return null
  const names = last.mended.map(({ fault }) => FAULT_WORDS[fault as FaultId]?.name ?? fault)
  return (
    <Stated mt="2" data-of-last="">
      <b>On {last.machine} it was:</b> {names.join('; ')}. Look there first.
    </Stated>
  )
}

/** What was mended last, and the test that shows whether it helped. */
function Mended({ faultId }: { faultId: FaultId }) {
  const jobId = useJob(job => job.id)
  const { axis } = useSettledEvaluation()
  const { name, again } = FAULT_WORDS[faultId]
  const check = CHECK_WORDS[again]
  return (
    <chakra.div data-mended={faultId}>
      <p>
        <strong>Mended: {name}.</strong> Test again now: {check.title.toLowerCase()}. {check.how}
      </p>
      {'at' in check && (
        <PlaceButton
          mt="2"
          variant="outline"
          place={{ jobId, axisId: axis.id, stage: check.at.stage, sheet: check.at.sheet }}
        >
          Test again
        </PlaceButton>
      )}
    </chakra.div>
  )
}
