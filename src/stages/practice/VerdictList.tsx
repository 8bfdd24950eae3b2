import { chakra } from '@chakra-ui/react'
import { CircleCheck, CircleX } from 'lucide-react'
import type { Point } from '@/core/practice/trainer/lesson'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'

interface Props {
  points: readonly Point[]
  minutes: number
  bestMinutes: number
  onShow: (readings: readonly number[]) => void
}

/** What was right and what was missed, each with the readings that show it. */
export function VerdictList({ points, minutes, bestMinutes, onShow }: Props) {
  const missed = points.filter(({ isRight }) => !isRight).length
  return (
    <chakra.div data-lesson-verdict display="grid" gap="2">
      <Stated role="status" fontWeight={700} color={missed === 0 ? 'holds' : 'fails'}>
        {missed === 0
          ? 'Done: nothing was missed.'
          : missed === 1
            ? 'One thing was missed.'
            : `${missed} things were missed.`}
      </Stated>
      <Note>
        {Math.round(minutes)} minutes on the machine; a good way takes about {Math.round(bestMinutes)}.
      </Note>
      <chakra.ul display="grid" gap="2">
        {points.map(({ isRight, what, said, shows }) => (
          <chakra.li
            key={what}
            display="flex"
            gap="2.5"
            alignItems="start"
            data-point={isRight ? 'right' : 'missed'}
          >
            <chakra.span color={isRight ? 'holds' : 'fails'} flex="none" mt="0.5">
              {isRight ? (
                <CircleCheck size={18} role="img" aria-label="Right" />
              ) : (
                <CircleX size={18} role="img" aria-label="Missed" />
              )}
            </chakra.span>
            <chakra.div fontSize="14px" flex="1" minW="0">
              <b>{what}.</b> {said}
            </chakra.div>
            {!isRight && shows.length > 0 && (
              <Button variant="quiet" onClick={() => onShow(shows)} aria-label={`Show it: ${what}`}>
                Show it
              </Button>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
    </chakra.div>
  )
}
