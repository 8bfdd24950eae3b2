import { chakra } from '@chakra-ui/react'
import { ArrowRight } from 'lucide-react'
import { PlaceLink } from '../job/PlaceLink'
import { useStanding } from '../job/standing'
import { useAxis } from '../job/useAxis'

const Link = chakra(PlaceLink)

/** What this axis needs next, worked out beside the screen; one press goes there. */
export function NextLine({ jobId }: { jobId: string }) {
  const name = useAxis(axis => axis.name)
  const standing = useStanding()
  const next = standing?.next
  const look = {
    display: 'flex',
    alignItems: 'center',
    gap: '2',
    minH: { base: '44px', lg: '32px' },
    px: '3',
    borderRadius: '6px',
    fontSize: '14px',
    bg: 'panel',
    borderWidth: '1px',
  } as const
  if (!next)
    return (
      <chakra.p {...look} color="quiet" data-next="">
        Axis {name}: {standing ? 'nothing left to do.' : 'what is next is being worked out …'}
      </chakra.p>
    )
  return (
    <Link
      place={{ jobId, axisId: next.axisId, stage: next.stage, sheet: next.sheet }}
      {...look}
      borderColor="lamp"
      color="ink"
      textDecoration="none"
      data-next={next.sheet}
      _hover={{ bg: 'raised' }}
    >
      <chakra.strong color="lamp">Next</chakra.strong>
      <chakra.span flex="1" minW="0">
        {next.text}
      </chakra.span>
      <chakra.span color="lamp" display="inline-flex">
        <ArrowRight size={18} aria-hidden />
      </chakra.span>
    </Link>
  )
}
