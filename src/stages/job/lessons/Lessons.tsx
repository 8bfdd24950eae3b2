import { chakra } from '@chakra-ui/react'
import { Lightbulb } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { type Lesson, lessonsOf } from '@/core/document/lessons'
import { Button } from '@/ui/controls'
import { useJob } from '../JobContext'

const LessonForm = dynamic(() => import('./LessonForm').then(module => module.LessonForm), { ssr: false })

interface Props extends Pick<Lesson, 'on' | 'of'> {
  /** What a lesson of here is called on the button: "this step". */
  here: string
}

/** What was learned here, on this machine and those before it, and a way to note more for the next one. */
export function Lessons({ on, of, here }: Props) {
  const all = useJob(job => job.lessons)
  const lessons = lessonsOf(all, { on, of })
  /** The lesson that is worded, or a new one. */
  const [asked, setAsked] = useState<Lesson | 'new' | null>(null)
  const close = () => setAsked(null)
  return (
    <chakra.div data-lessons={of} fontSize="14px">
      {lessons.map(lesson => (
        <chakra.div
          key={lesson.id}
          data-lesson={lesson.id}
          display="flex"
          flexWrap="wrap"
          gap="2"
          alignItems="center"
          borderInlineStartWidth="4px"
          borderColor="brass"
          ps="3"
          mb="1"
        >
          <chakra.p flex="1 1 260px" overflowWrap="anywhere">
            <b>{lesson.machine === null ? 'Learned here' : `Learned on ${lesson.machine}`}:</b> {lesson.text}
          </chakra.p>
          <chakra.div data-frame>
            <Button variant="quiet" onClick={() => setAsked(lesson)}>
              Word it otherwise
            </Button>
          </chakra.div>
        </chakra.div>
      ))}
      {asked ? (
        <LessonForm
          key={asked === 'new' ? 'new' : asked.id}
          place={{ on, of }}
          lesson={asked === 'new' ? null : asked}
          here={here}
          onDone={close}
        />
      ) : (
        <chakra.div data-frame>
          <Button variant="quiet" onClick={() => setAsked('new')}>
            <Lightbulb size={16} aria-hidden /> A lesson of {here}
          </Button>
        </chakra.div>
      )}
    </chakra.div>
  )
}
