import { chakra } from '@chakra-ui/react'
import { TriangleAlert } from 'lucide-react'
import type { Axis } from '@/core/document/axis'
import { loadWord, mayFall } from '@/core/sheets/shared/steps/lifting'
import { supportsIn } from '@/core/sheets/shared/steps/supports'
import { useJob, useJobContext } from '../job/JobContext'
import { PlaceLink } from '../job/PlaceLink'
import { useAxis } from '../job/useAxis'

/** What hangs on its drive alone, in a word; none of a level axis, or while something supports it. */
const hanging = (axis: Axis): string | null =>
  mayFall(axis) && supportsIn(axis).length === 0 ? loadWord(axis) : null

/** On an axis that can fall: what its readings say to loosen frees the load, so that is supported first. */
export function LoadNotice() {
  const load = useAxis(hanging)
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  if (load === null) return null
  return (
    <chakra.p
      data-load-notice
      data-hand
      display="flex"
      gap="2"
      bg="raised"
      borderWidth="1px"
      borderColor="close"
      borderRadius="8px"
      px="3"
      py="2"
      fontSize="15px"
    >
      <chakra.span flexShrink={0} mt="0.5" color="close">
        <TriangleAlert size={18} aria-label="Caution" />
      </chakra.span>
      <span>
        Nothing is noted to support the {load}: before a block, the nut, the locknut, a coupler or a belt is
        slackened,{' '}
        <PlaceLink place={{ jobId, axisId, stage: 'build', sheet: 'steps' }}>
          support it under Build
        </PlaceLink>
        .
      </span>
    </chakra.p>
  )
}
