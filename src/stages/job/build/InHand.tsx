import { chakra } from '@chakra-ui/react'
import { Check, Hand, Timer, TriangleAlert } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { stepStartedAt } from '@/core/planning/planEdits'
import { sheetOf } from '@/core/sheets'
import { askOf, maySkip, waitsFor } from '@/core/sheets/shared/steps/holds'
import type { Step } from '@/core/sheets/shared/steps/step'
import { SUB_ASSEMBLIES } from '@/core/sheets/shared/steps/subAssemblies'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Explained } from '@/ui/terms/Explained'
import { FiguresButton } from '../FiguresButton'
import { useJob, useJobContext } from '../JobContext'
import { Lessons } from '../lessons/Lessons'
import { PlaceButton } from '../PlaceLink'
import { MishapForm } from './MishapForm'
import { Needs } from './Needs'
import { OtherwiseForm } from './OtherwiseForm'
import { figuresOfStep, placeOfStep } from './placeOfStep'
import type { Build } from './useBuild'

type Asked = 'otherwise' | 'skipped' | 'mishap' | null

/** The step in hand, large: what it needs, why now, what must not happen, and what can be said of it. */
export function InHand({ build }: { build: Build }) {
  const { shown, next, context, steps, isWhole, refusal } = build
  const card = useHeadInSight(shown?.id)
  const orders = useJob(job => job.orders)
  if (!shown)
    return (
      <chakra.p fontWeight={700} data-step-in-hand="" data-hand>
        {steps.length === 0
          ? 'No steps yet.'
          : isWhole
            ? 'All steps are done.'
            : 'All that is listed is done.'}
      </chakra.p>
    )
  const { stepNotes } = context.axis
  const tickedAt = build.done[shown.id]
  const note = stepNotes[shown.id]
  const before = tickedAt ? null : waitsFor(steps, context, shown)
  const ask = tickedAt || before ? null : askOf(shown, context, orders, steps)
  return (
    <chakra.section
      ref={card}
      aria-label="The step in hand"
      data-step-in-hand={shown.id}
      data-hand
      bg="raised"
      borderWidth="1px"
      borderColor={tickedAt ? 'line' : 'lamp'}
      borderRadius="8px"
      p="4"
    >
      <chakra.p fontSize="13px" color="quiet" display="flex" gap="3" flexWrap="wrap">
        <span>{SUB_ASSEMBLIES[shown.part].title}</span>
        {shown.id !== next?.id && !tickedAt && <span>not the next one</span>}
        {shown.hold && (
          <chakra.span display="inline-flex" gap="1" alignItems="center" fontWeight={700} color="lamp">
            <Hand size={15} aria-hidden /> hold point: what comes after waits for it
          </chakra.span>
        )}
      </chakra.p>
      <chakra.h3 fontSize="22px" fontWeight={700} lineHeight="1.25" mt="1">
        {shown.title}
      </chakra.h3>
      {shown.caution && (
        <chakra.p display="flex" gap="2" color="close" fontWeight={700} mt="2">
          <chakra.span flexShrink={0} mt="0.5">
            <TriangleAlert size={18} aria-label="Caution" />
          </chakra.span>
          {shown.caution}
        </chakra.p>
      )}
      <chakra.p mt="2" maxW="68ch">
        <Explained text={shown.how} />
      </chakra.p>
      <WhereItStands step={shown} />
      {shown.why && (
        <chakra.p mt="1" color="quiet" maxW="68ch">
          <b>Why now:</b> {shown.why}
        </chakra.p>
      )}
      <Needs step={shown} build={build} />
      {tickedAt && (
        <Stated mt="2">
          {[
            note?.how === 'skipped' ? 'Skipped' : note?.how === 'otherwise' ? 'Done otherwise' : 'Done',
            momentWords(tickedAt),
            note?.who && `by ${note.who}`,
            note?.tookMinutes && `${note.tookMinutes} min`,
            note?.why,
          ]
            .filter(Boolean)
            .join(', ')}
        </Stated>
      )}
      {before && (
        <chakra.p mt="2" fontWeight={700} color="close">
          First {before.hold ? 'the hold point' : ''} “{before.title}”.{' '}
          <Button variant="outline" onClick={() => build.look(before.id)}>
            Show it
          </Button>
        </chakra.p>
      )}
      {ask && refusal?.stepId !== shown.id && (
        <chakra.p mt="2" fontWeight={700} color="close">
          Not yet: {ask}
        </chakra.p>
      )}
      {refusal?.stepId === shown.id && (
        <chakra.p role="alert" mt="2" fontWeight={700} color="fails">
          {refusal.text}
        </chakra.p>
      )}
      <Lessons key={`lessons ${shown.id}`} on="step" of={shown.id} here="this step" />
      <Actions key={shown.id} step={shown} build={build} isDone={tickedAt !== undefined} />
    </chakra.section>
  )
}

/** A card whose head is scrolled back into sight when another step comes into it. */
function useHeadInSight(stepId: string | undefined) {
  const card = useRef<HTMLElement>(null)
  const shown = useRef(stepId)
  useEffect(() => {
    if (shown.current === stepId) return
    shown.current = stepId
    const { top = 0 } = card.current?.getBoundingClientRect() ?? {}
    // What stands still at the top of the window covers as much as the page is padded for when it scrolls.
    const covered = Number.parseFloat(getComputedStyle(document.documentElement).scrollPaddingTop) || 0
    if (top < covered) card.current?.scrollIntoView({ block: 'start' })
  }, [stepId])
  return card
}

/** The sheet where its readings are taken, and the working of its figures. */
function WhereItStands({ step }: { step: Step }) {
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const place = placeOfStep(step.id)
  const figures = figuresOfStep(step.id)
  if (!place && figures.length === 0) return null
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="2" mt="1">
      {place && (
        <PlaceButton variant="outline" place={{ jobId, axisId, ...place }}>
          Go to {sheetOf(place.sheet).title}
        </PlaceButton>
      )}
      <FiguresButton of={step.title.toLowerCase()} sentence={step.how} names={figures} />
    </chakra.div>
  )
}

/** Starts the time of a step, and says since when it runs: only what was timed is learned from. */
function StepTime({ step, build }: { step: Step; build: Build }) {
  const { axisId } = useJobContext()
  const startedAt = useJob(job => stepStartedAt(job, axisId, step.id))
  if (startedAt)
    return (
      <Note as="span" data-step-time>
        begun {momentWords(startedAt)}
      </Note>
    )
  return (
    <Button variant="quiet" onClick={() => build.begin(step)}>
      <Timer size={18} aria-hidden /> Start its time
    </Button>
  )
}

/** What can be said of a step: done, done otherwise, skipped, gone wrong; or open again, with what leans on it. */
function Actions({ step, build, isDone }: { step: Step; build: Build; isDone: boolean }) {
  const [asked, setAsked] = useState<Asked>(null)
  const leaning = isDone ? build.leansOn(step) : []
  if (asked === 'mishap') return <MishapForm step={step} steps={build.steps} onDone={() => setAsked(null)} />
  if (asked)
    return (
      <OtherwiseForm
        how={asked}
        onReason={why => {
          build.finish(step, { how: asked, why })
          setAsked(null)
        }}
        onCancel={() => setAsked(null)}
      />
    )
  return (
    // In sight however long the step is: what is pressed most.
    <chakra.div
      display="flex"
      flexWrap="wrap"
      gap="2"
      mt="3"
      py="2"
      alignItems="center"
      position="sticky"
      bottom={{ base: '56px', xl: '0' }}
      bg="raised"
      zIndex={1}
    >
      {isDone ? (
        <>
          <Button variant="outline" onClick={() => build.open(step)}>
            {leaning.length === 0 ? 'Open it again' : `Open it again, with ${leaning.length} that lean on it`}
          </Button>
          {leaning.length > 0 && (
            <Note as="span">
              {leaning
                .slice(0, 3)
                .map(({ title }) => title)
                .join('; ')}
              {leaning.length > 3 && ' and more'}
            </Note>
          )}
          <Button variant="quiet" onClick={() => build.look(null)}>
            Back to the next step
          </Button>
        </>
      ) : (
        <>
          <Button variant="lamp" px="6" minH="52px" fontSize="17px" onClick={() => build.finish(step)}>
            <Check size={20} aria-hidden /> Done
          </Button>
          <StepTime step={step} build={build} />
          <Button variant="outline" onClick={() => setAsked('otherwise')}>
            Done otherwise
          </Button>
          {maySkip(step, build.context) && (
            <Button variant="quiet" onClick={() => setAsked('skipped')}>
              Skip it
            </Button>
          )}
          <Button variant="quiet" onClick={() => setAsked('mishap')}>
            Something went wrong
          </Button>
        </>
      )}
    </chakra.div>
  )
}
