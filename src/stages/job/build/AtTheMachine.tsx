import { chakra } from '@chakra-ui/react'
import { Pause, Play } from 'lucide-react'
import { useCallback } from 'react'
import type { Job } from '@/core/document/job'
import type { Sitting } from '@/core/document/plan'
import { catalogueOf } from '@/core/machine/parts'
import {
  lastSitting,
  leftOn,
  leftWords,
  sittingNow,
  startSitting,
  stopSitting,
} from '@/core/planning/sittings'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Note } from '@/ui/Note'
import { useEdit, useJob, useJobContext } from '../JobContext'
import { useSettledResult } from '../useAxis'
import { useKept } from '../useKept'

const nameIn = (kept: unknown): string => (typeof kept === 'string' ? kept.slice(0, 40) : '')

/** Start and stop of an evening, and who is at it. */
export function AtTheMachine() {
  const now = useJob(job => sittingNow(job.plan))
  const edit = useEdit()
  const [who, setWho] = useKept('dusk-who', nameIn)
  const { session } = useJobContext()
  const stop = (sitting: Sitting) => {
    const { job } = session.getState()
    if (job) session.edit(stopSitting(sitting, new Date().toISOString(), leftOn(job, catalogueOf(job))))
  }
  return (
    <chakra.div
      display="flex"
      flexWrap="wrap"
      gap="3"
      alignItems="center"
      mt="3"
      // Nobody starts work on paper.
      data-frame
      data-sitting={now ? 'on' : 'off'}
    >
      {now ? (
        <>
          <chakra.p fontWeight={700}>
            At the machine since {momentWords(now.startedAt)}
            {now.who && `, ${now.who}`}
          </chakra.p>
          <Button variant="outline" onClick={() => stop(now)}>
            <Pause size={16} aria-hidden /> Stop work
          </Button>
        </>
      ) : (
        <>
          <Button variant="outline" onClick={() => edit(startSitting(who, new Date().toISOString()))}>
            <Play size={16} aria-hidden /> Start work
          </Button>
          <chakra.div width="200px">
            <TextField
              label="Who is at it"
              hideLabel
              placeholder="who is at it"
              defaultValue={who}
              maxLength={40}
              onBlur={event => setWho(event.currentTarget.value.trim())}
            />
          </chakra.div>
          <Note as="span">Started, it notes what each step took, and what was left loose when you stop.</Note>
        </>
      )}
    </chakra.div>
  )
}

/** What was left loose when work was stopped last; nothing while somebody is at it. */
export function LeftLoose() {
  const plan = useJob(job => job.plan)
  const left = useSettledResult(useCallback((job: Job) => leftOn(job, catalogueOf(job)), []))
  const last = lastSitting(plan)
  if (sittingNow(plan) || left.length === 0) return null
  return (
    <chakra.p fontWeight={700} color="close" mb="3" data-left>
      {last?.stoppedAt ? `Stopped ${momentWords(last.stoppedAt)}` : 'As it stands'}
      {last?.who && `, ${last.who}`}. {leftWords(left)}
    </chakra.p>
  )
}
