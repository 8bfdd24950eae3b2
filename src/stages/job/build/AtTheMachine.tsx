import { chakra } from '@chakra-ui/react'
import { Pause, Play } from 'lucide-react'
import { useCallback } from 'react'
import type { Job } from '@/core/document/job'
import { catalogueOf } from '@/core/machine/parts'
import { lastSitting, leftOn, sittingNow, startSitting, stopSitting } from '@/core/planning/sittings'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { useEdit, useJob } from '../JobContext'
import { useSettledResult } from '../useAxis'
import { useKept } from '../useKept'

const nameIn = (kept: unknown): string => (typeof kept === 'string' ? kept.slice(0, 40) : '')

/** Start and stop of an evening, who is at it, and what was left loose when it was stopped last. */
export function AtTheMachine() {
  const plan = useJob(job => job.plan)
  const edit = useEdit()
  const [who, setWho] = useKept('dusk-who', nameIn)
  const left = useSettledResult(useCallback((job: Job) => leftOn(job, catalogueOf(job)), []))
  const now = sittingNow(plan)
  const last = lastSitting(plan)
  return (
    <chakra.div display="grid" gap="2" data-sitting={now ? 'on' : 'off'}>
      <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end">
        {now ? (
          <>
            <chakra.p fontWeight={700} alignSelf="center">
              At the machine since {momentWords(now.startedAt)}
              {now.who && `, ${now.who}`}
            </chakra.p>
            <Button variant="outline" onClick={() => edit(stopSitting(now, new Date().toISOString(), left))}>
              <Pause size={16} aria-hidden /> Stop work
            </Button>
          </>
        ) : (
          <>
            <chakra.div width="180px">
              <TextField
                label="Who is at it"
                defaultValue={who}
                maxLength={40}
                onBlur={event => setWho(event.currentTarget.value.trim())}
              />
            </chakra.div>
            <Button variant="outline" onClick={() => edit(startSitting(who, new Date().toISOString()))}>
              <Play size={16} aria-hidden /> Start work
            </Button>
          </>
        )}
      </chakra.div>
      {!now && left.length > 0 && (
        <chakra.p fontWeight={700} color="close" data-left>
          {last?.stoppedAt ? `Stopped ${momentWords(last.stoppedAt)}` : 'As it stands'}
          {last?.who && `, ${last.who}`}. Left:{' '}
          {left.map(({ axisName, left: all }) => `${axisName}: ${all.join(', ')}`).join('; ')}.
        </chakra.p>
      )}
    </chakra.div>
  )
}
