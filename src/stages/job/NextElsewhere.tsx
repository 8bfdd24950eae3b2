import { chakra } from '@chakra-ui/react'
import { useJob } from './JobContext'
import { PlaceButton } from './PlaceLink'
import { useStanding } from './standing'

/** What comes before the step in hand and is done on another sheet; nothing where the step itself is next. */
export function NextElsewhere() {
  const jobId = useJob(job => job.id)
  const next = useStanding()?.next
  if (!next || next.stepId !== null || next.sheet === 'steps') return null
  return (
    <chakra.p
      data-first
      mb="3"
      display="flex"
      flexWrap="wrap"
      alignItems="center"
      gap="2"
      fontWeight={700}
      color="close"
    >
      Before this step: {next.text}.
      <PlaceButton
        variant="outline"
        place={{ jobId, axisId: next.axisId, stage: next.stage, sheet: next.sheet }}
      >
        Go there
      </PlaceButton>
    </chakra.p>
  )
}
