import { chakra } from '@chakra-ui/react'
import type { Asked } from '@/core/acceptance/asked'
import { useJob, useJobContext } from './JobContext'
import { PlaceButton } from './PlaceLink'

const COLOR = { safety: 'fails', now: 'close', soon: undefined } as const

/** What the machine asks for now and soon, each with the place where it is done; nothing where nothing is asked. */
export function DueNow({ asked }: { asked: readonly Asked[] | null }) {
  const jobId = useJob(job => job.id)
  const { axisId } = useJobContext()
  if (!asked || asked.length === 0) return null
  return (
    <chakra.ul mb="3" aria-label="What is due">
      {asked.map(({ due, words, when }) => (
        <chakra.li
          key={due.key}
          data-due={when}
          display="flex"
          columnGap="3"
          alignItems="center"
          justifyContent="space-between"
          flexWrap="wrap"
          borderTopWidth="1px"
          py="1"
        >
          <chakra.span
            flex="1 1 320px"
            minW="0"
            overflowWrap="anywhere"
            color={COLOR[when]}
            fontWeight={when === 'soon' ? undefined : 700}
          >
            {words}
          </chakra.span>
          <PlaceButton
            variant="outline"
            aria-label={`Go there: ${due.title}`}
            place={{ jobId, axisId: due.axisId ?? axisId, stage: due.stage, sheet: due.sheet }}
          >
            Go there
          </PlaceButton>
        </chakra.li>
      ))}
    </chakra.ul>
  )
}
