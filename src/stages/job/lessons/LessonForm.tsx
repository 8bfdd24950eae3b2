import { chakra } from '@chakra-ui/react'
import { type FormEvent, useState } from 'react'
import { addLesson, LESSONS, type Lesson, type LessonPlace, wordLesson } from '@/core/document/lessons'
import { Button } from '@/ui/controls'
import { LongTextField } from '@/ui/fields/LongTextField'
import { useEdit, useJob } from '../JobContext'

const { most: LONGEST } = LESSONS.of.text

interface Props {
  place: LessonPlace
  /** The one that is worded otherwise; none for a new one. */
  lesson: Lesson | null
  here: string
  onDone: () => void
}

/** The words of a lesson: a new one, or one that is worded otherwise or taken out. */
export function LessonForm({ place, lesson, here, onDone }: Props) {
  const edit = useEdit()
  const isFull = useJob(job => job.lessons.length >= LESSONS.most)
  const [typed, setTyped] = useState(lesson?.text ?? '')
  const [error, setError] = useState<string>()
  const text = typed.trim()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (text.length === 0 || text.length > LONGEST)
      return setError(`Type what to do otherwise: got ${text.length} characters, takes 1 to ${LONGEST}.`)
    if (!lesson && isFull)
      return setError(`A job holds ${LESSONS.most} lessons, and has them: take one out first.`)
    edit(lesson ? wordLesson(lesson, text) : addLesson(place, text))
    onDone()
  }
  return (
    <chakra.form data-frame onSubmit={submit} display="grid" gap="2" maxW="640px" my="2">
      <LongTextField
        label={`Lesson of ${here}, for the next machine`}
        hint="It is shown here again, on this machine and on every next one that is made from it."
        error={error}
        value={typed}
        onChange={event => setTyped(event.currentTarget.value)}
        rows={3}
        autoFocus
      />
      <chakra.div display="flex" gap="2" flexWrap="wrap">
        <Button type="submit" variant="lamp">
          Keep the lesson
        </Button>
        {lesson && (
          <Button
            variant="outline"
            onClick={() => {
              edit(wordLesson(lesson, ''))
              onDone()
            }}
          >
            Take it out
          </Button>
        )}
        <Button variant="quiet" onClick={onDone}>
          Leave it
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
