'use client'
import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { newId } from '@/core/document/id'
import type { Practiser } from '@/core/document/practiser'
import { LESSONS, lessonOf } from '@/core/practice/trainer/lessons'
import { getDatabase } from '@/store/database'
import { addPractiser, noteLesson, noteSearch, usePractisers } from '@/store/practisers'
import { describeProblem, type Problem } from '@/store/problem'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { PageHead } from '@/ui/frame/PageHead'
import { Note } from '@/ui/Note'
import { FindItScreen } from './FindItScreen'
import { LessonList } from './LessonList'
import { LessonScreen } from './LessonScreen'
import { addressOfPractice, anySeed, FIND_IT, goPractise, usePracticePlace } from './place'
import { WhoPractises } from './WhoPractises'

const LAST_WHO = 'dusk-practiser'
/** Who practises as long as nobody gave a name. */
const NAMELESS = 'Builder'

/** A place to practise: lessons in the order of the work, and a hidden fault to be found. It touches no job. */
export function PracticeScreen() {
  const { lesson: lessonId, seed } = usePracticePlace()
  const [problem, setProblem] = useState<Problem | null>(null)
  const { practisers, who, setWho } = useWho()
  const attempt = (work: () => Promise<unknown>) => work().catch(error => setProblem(describeProblem(error)))
  const lesson = lessonId === null ? null : lessonOf(lessonId)
  const isSearch = lessonId === FIND_IT
  const units = who?.units ?? 'mm'

  // Each exercise has its number in the address, by which it can be handed on.
  useEffect(() => {
    if ((lesson || isSearch) && seed === null) goPractise(lessonId, anySeed(), true)
  }, [lesson, isSearch, lessonId, seed])
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew for every exercise
  useEffect(() => {
    window.scrollTo(0, 0)
  }, [lessonId, seed])

  /** Puts something down under whoever is at the bench, nameless where nobody said. */
  const note = (put: (id: string) => Promise<unknown>) =>
    attempt(async () => {
      const id = who?.id ?? newId()
      if (!who) {
        await addPractiser(getDatabase(), id, NAMELESS, units)
        setWho(id)
      }
      await put(id)
    })
  const title = isSearch ? 'Find it' : (lesson?.title ?? 'Practise')
  useEffect(() => {
    document.title = `${title} · Dusk Bench`
  }, [title])
  return (
    <chakra.div maxW="1240px" mx="auto" px="4" pb="10" data-practice>
      <PageHead />
      <chakra.main display="grid" gap="4" gridTemplateColumns="minmax(0, 1fr)">
        <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end" justifyContent="space-between">
          <chakra.div>
            <chakra.h1 fontSize="26px" fontWeight={700}>
              {title}
            </chakra.h1>
            <Note>
              {lesson
                ? lesson.learns
                : 'A simulated machine, to be read and set as often as one likes. Nothing of it goes into a job.'}
            </Note>
          </chakra.div>
          {lessonId === null ? (
            <WhoPractises practisers={practisers} who={who} onWho={setWho} attempt={attempt} />
          ) : (
            <chakra.div display="flex" flexWrap="wrap" gap="2">
              {seed !== null && <HandOn lesson={lessonId} seed={seed} />}
              <Button variant="outline" onClick={() => goPractise(null)}>
                All lessons
              </Button>
            </chakra.div>
          )}
        </chakra.div>
        {problem && <Notice title={problem.title}>{problem.advice}</Notice>}
        {lesson && seed !== null && (
          <LessonScreen
            key={`${lesson.id} ${seed} ${units}`}
            lesson={lesson}
            seed={seed}
            units={units}
            onJudged={minutes =>
              note(id =>
                noteLesson(
                  getDatabase(),
                  id,
                  lesson.id,
                  minutes === null ? null : { at: new Date().toISOString(), minutes: Math.ceil(minutes) },
                ),
              )
            }
          />
        )}
        {isSearch && seed !== null && (
          <FindItScreen
            key={seed}
            seed={seed}
            onFound={({ wasRight, minutes, bestMinutes }) =>
              note(id =>
                noteSearch(getDatabase(), id, {
                  id: newId(),
                  seed,
                  at: new Date().toISOString(),
                  wasRight,
                  minutes,
                  bestMinutes,
                }),
              )
            }
          />
        )}
        {!lesson && !isSearch && (
          <>
            {lessonId !== null && (
              <Notice title="There is no such lesson">Those that there are stand below.</Notice>
            )}
            <LessonList lessons={LESSONS} who={who} />
          </>
        )}
      </chakra.main>
    </chakra.div>
  )
}

/** Hands this very machine on, as a link. */
function HandOn({ lesson, seed }: { lesson: string; seed: number }) {
  const [copied, setCopied] = useState<string | null>(null)
  const link = () => `${window.location.origin}${addressOfPractice(lesson, seed)}`
  const copy = () =>
    navigator.clipboard.writeText(link()).then(
      () => setCopied('The link is copied'),
      () => setCopied(link()),
    )
  return (
    <chakra.div display="flex" gap="2" alignItems="center">
      <Note as="span" role="status" fontFamily={copied ? undefined : 'mono'}>
        {copied ?? `machine ${seed}`}
      </Note>
      <Button variant="outline" onClick={copy}>
        Copy its link
      </Button>
    </chakra.div>
  )
}

/** Who is at the bench: the one who was here last, or the first of those that there are. */
function useWho() {
  const practisers = usePractisers() ?? []
  const [chosen, setChosen] = useState<string | null>(null)
  useEffect(() => setChosen(localStorage.getItem(LAST_WHO)), [])
  const who: Practiser | null = practisers.find(({ id }) => id === chosen) ?? practisers[0] ?? null
  const setWho = (id: string | null) => {
    setChosen(id)
    if (id === null) localStorage.removeItem(LAST_WHO)
    else localStorage.setItem(LAST_WHO, id)
  }
  return { practisers, who, setWho }
}
