import { chakra } from '@chakra-ui/react'
import { Circle, CircleCheck, CircleDashed } from 'lucide-react'
import type { Practiser } from '@/core/document/practiser'
import type { Lesson } from '@/core/practice/trainer/lesson'
import { LinkButton } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { addressOfPractice, anySeed, FIND_IT, goPractise } from './place'

/** The lessons in the order of the work, with what was done of each, and after them the search. */
export function LessonList({ lessons, who }: { lessons: readonly Lesson[]; who: Practiser | null }) {
  const passed = lessons.filter(({ id }) => who?.lessons[id]?.passedAt).length
  return (
    <>
      <Panel
        title="Lessons"
        action={
          <Note as="span">
            {passed} of {lessons.length} done
          </Note>
        }
      >
        <chakra.ol
          display="grid"
          gap="2"
          gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }}
          listStyleType="none"
        >
          {lessons.map((lesson, index) => (
            <Line key={lesson.id} number={index + 1} lesson={lesson} done={who?.lessons[lesson.id]} />
          ))}
        </chakra.ol>
      </Panel>
      <Searches who={who} />
      <Note>
        On a real machine stand clear while it moves, and switch it off and lock it out before a hand goes in.
        Where local rules or a licensed electrician are asked for, they come first.
      </Note>
    </>
  )
}

const practise = (lesson: string) => (event: React.MouseEvent) => {
  if (event.metaKey || event.ctrlKey || event.shiftKey) return
  event.preventDefault()
  goPractise(lesson, anySeed())
}

function Line({
  number,
  lesson: { id, title, learns },
  done,
}: {
  number: number
  lesson: Lesson
  done: Practiser['lessons'][string] | undefined
}) {
  const Mark = done?.passedAt ? CircleCheck : done ? CircleDashed : Circle
  const said = done?.passedAt
    ? `done, in ${done.leastMinutes} min at best`
    : done
      ? `tried ${done.tries === 1 ? 'once' : `${done.tries} times`}`
      : 'not tried yet'
  return (
    <chakra.li
      display="flex"
      gap="3"
      alignItems="center"
      borderWidth="1px"
      borderRadius="6px"
      px="3"
      py="2"
      data-lesson-line={id}
    >
      <chakra.span color={done?.passedAt ? 'holds' : 'quiet'} flex="none">
        <Mark size={22} aria-hidden />
      </chakra.span>
      <chakra.div flex="1" minW="0">
        <b>
          {number}. {title}
        </b>
        <Note>
          {learns} <chakra.span whiteSpace="nowrap">({said})</chakra.span>
        </Note>
      </chakra.div>
      <LinkButton
        href={addressOfPractice(id)}
        variant="outline"
        onClick={practise(id)}
        aria-label={`Practise: ${title}`}
      >
        Practise
      </LinkButton>
    </chakra.li>
  )
}

const LISTED = 5
function Searches({ who }: { who: Practiser | null }) {
  const searches = who?.searches ?? []
  const right = searches.filter(({ wasRight }) => wasRight).length
  return (
    <Panel
      title="Find it"
      action={
        <LinkButton href={addressOfPractice(FIND_IT)} variant="lamp" onClick={practise(FIND_IT)}>
          Find a hidden fault
        </LinkButton>
      }
    >
      <chakra.p maxW="80ch">
        A machine with one hidden fault and a clock. Every check costs its minutes; name the fault when you
        are sure. In the end your way is laid beside a good one.
      </chakra.p>
      {searches.length > 0 && (
        <>
          <Stated mt="2" fontWeight={700}>
            {right} of {searches.length} found.
          </Stated>
          <chakra.ul data-searches>
            {searches
              .slice(-LISTED)
              .toReversed()
              .map(({ id, seed, wasRight, minutes, bestMinutes }) => (
                <Note as="li" key={id}>
                  Machine {seed}: {wasRight ? 'found' : 'not found'} in {minutes} min; a good way took{' '}
                  {bestMinutes}.
                </Note>
              ))}
          </chakra.ul>
        </>
      )}
    </Panel>
  )
}
