import { chakra } from '@chakra-ui/react'
import type { Diagnosis, NextCheck } from '@/core/diagnose/diagnosis'
import { newId } from '@/core/document/id'
import { sheetOf } from '@/core/sheets'
import { setAnswer } from '@/core/sheets/findFault/edits'
import { CHECK_WORDS, FAULT_WORDS, outcomeWords } from '@/core/sheets/findFault/words'
import { percent } from '@/core/units/percent'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob, useJobContext } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxisNow } from '../../job/useAxis'

/** The check that tells most in a minute, with what each answer would mean; the others folded beneath it. */
export function NextChecks({ found: { next, besides, answered } }: { found: Diagnosis }) {
  // What is wrong is asked first, whatever readings say: it costs nothing.
  const complaint = next.find(({ check }) => check === 'complaint')
  const asked = answered.some(({ check }) => check === 'complaint')
  const first = !asked && complaint ? complaint : next[0]
  const others = [...next.filter(one => one !== first), ...besides]
  if (!first)
    return others.length === 0 ? null : (
      <Panel title="Other checks">
        <Others checks={others} />
      </Panel>
    )
  return (
    <Panel title={`Next: ${lower(CHECK_WORDS[first.check].title)}`}>
      <Check next={first} />
      {others.length > 0 && <Others checks={others} />}
    </Panel>
  )
}

const Others = ({ checks }: { checks: readonly NextCheck[] }) => (
  <Fold name={`Or another check: ${checks.length} are left`}>
    <chakra.ul display="grid" gap="3" mt="2">
      {checks.map(one => (
        <chakra.li key={one.check} borderTopWidth="1px" pt="2">
          <strong>{CHECK_WORDS[one.check].title}</strong>
          <Check next={one} />
        </chakra.li>
      ))}
    </chakra.ul>
  </Fold>
)

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

function Check({ next: { check, minutes, outcomes } }: { next: NextCheck }) {
  const words = CHECK_WORDS[check]
  const edit = useEdit()
  const axisNow = useAxisNow()
  const jobId = useJob(job => job.id)
  const { axisId } = useJobContext()
  const put = (outcome: string) =>
    edit(setAnswer(axisNow(), check, outcome, { id: newId(), at: new Date().toISOString() }))
  return (
    <div data-next-check={check}>
      <Note maxW="72ch">
        {words.how}
        {check !== 'complaint' && ` About ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}.`}
      </Note>
      <chakra.ul display="grid" gap="2" mt="2" gridTemplateColumns="repeat(auto-fill, minmax(230px, 1fr))">
        {outcomes.map(({ outcome, chance, faultId, probability }) => (
          <chakra.li key={outcome} display="grid" gap="1" alignContent="start">
            <Button
              variant="outline"
              onClick={() => put(outcome)}
              data-outcome={outcome}
              justifyContent="flex-start"
              textAlign="left"
              whiteSpace="normal"
            >
              {outcomeWords(check, outcome)}
            </Button>
            {check !== 'complaint' && (
              <chakra.span fontSize="13px" color="quiet">
                Then likeliest: {lower(FAULT_WORDS[faultId].name)}, {percent(probability)}. To be expected:{' '}
                {percent(chance)}.
              </chakra.span>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
      {'at' in words && (
        <PlaceButton
          variant="quiet"
          ml="-3"
          mt="1"
          place={{ jobId, axisId, stage: words.at.stage, sheet: words.at.sheet }}
        >
          Or read it: {sheetOf(words.at.sheet).title}
        </PlaceButton>
      )}
    </div>
  )
}
