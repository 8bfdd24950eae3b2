import { chakra } from '@chakra-ui/react'
import { useCallback, useEffect, useState } from 'react'
import type { SearchExercise, SearchVerdict, StepTold } from '@/core/practice/trainer/findIt'
import { CHECK_WORDS, type CheckName, type FaultId } from '@/core/sheets/findFault/words'
import { percent } from '@/core/units/percent'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { askPractice } from '@/workers/client'
import { useAnswer } from '../job/useRun'
import { keep, keptOf } from './kept'
import { anySeed, FIND_IT, goPractise } from './place'

interface Props {
  seed: number
  onFound: (verdict: SearchVerdict) => void
}

const minutesOf = (steps: readonly { minutes: number }[]) =>
  steps.reduce((sum, { minutes }) => sum + minutes, 0)
const NOBODY = ''

/** Checks that were kept as text, as far as there are such. */
const checksOf = (kept: unknown): CheckName[] =>
  `${kept ?? ''}`.split(' ').filter((one): one is CheckName => Object.hasOwn(CHECK_WORDS, one))

/** A hidden fault: checks that cost their minutes, a name for it, and the way taken beside a good one. */
export function FindItScreen({ seed, onFound }: Props) {
  const of = `${FIND_IT} ${seed}`
  const ask = useCallback(() => askPractice<SearchExercise>(async practice => practice.search(seed)), [seed])
  const exercise = useAnswer(ask, of)
  const [checks, setChecks] = useState<readonly CheckName[]>(() => checksOf(keptOf(of)?.answers.checks))
  const [named, setNamed] = useState<FaultId | typeof NOBODY>(NOBODY)
  const [verdict, setVerdict] = useState<SearchVerdict | null>(null)
  useEffect(() => keep({ of, acts: [], answers: { checks: checks.join(' ') } }), [of, checks])
  const askSteps = useCallback(
    () => askPractice<StepTold[]>(async practice => practice.made(seed, checks)),
    [seed, checks],
  )
  const steps = useAnswer(askSteps, of) ?? []
  if (!exercise) return <Note aria-busy="true">A machine is made ready …</Note>
  const name = async () => {
    if (named === NOBODY) return
    const found = await askPractice<SearchVerdict>(async practice =>
      practice.searchVerdict(seed, checks, named),
    )
    setVerdict(found)
    onFound(found)
  }
  const left = exercise.checks.filter(({ check }) => !checks.includes(check))
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 400px' }}
      alignItems="start"
      data-find-it
    >
      <chakra.div display="grid" gap="3" minW="0">
        <Panel
          title={exercise.complaint}
          action={
            <Note as="span" fontFamily="mono" role="status" data-clock>
              {minutesOf(steps)} min on the clock
            </Note>
          }
        >
          <chakra.p maxW="80ch">
            That is what its builder says of one axis ({exercise.kind}). One thing is wrong with it. Ask for
            checks, and name it when you are sure.
          </chakra.p>
        </Panel>
        {verdict ? (
          <Verdict verdict={verdict} />
        ) : (
          <Panel title="Checks">
            <chakra.ul display="grid" gap="2">
              {left.map(({ check, title, how, minutes }) => (
                <chakra.li key={check} display="flex" gap="3" alignItems="center" borderTopWidth="1px" pt="2">
                  <chakra.div flex="1" minW="0">
                    <b>{title}</b>
                    <Note>{how}</Note>
                  </chakra.div>
                  <Button
                    variant="outline"
                    flex="none"
                    data-check-asked={check}
                    onClick={() => setChecks([...checks, check])}
                    aria-label={`${title}, ${minutes} min`}
                  >
                    {minutes} min
                  </Button>
                </chakra.li>
              ))}
            </chakra.ul>
          </Panel>
        )}
      </chakra.div>
      <chakra.div display="grid" gap="3" minW="0">
        <Panel title="What came of it">
          {steps.length === 0 && <Note>No check was made yet.</Note>}
          <chakra.ol display="grid" gap="1.5" data-made>
            {steps.map(({ check, title, outcome, minutes }) => (
              <chakra.li key={check} fontSize="14px">
                <b>{title}</b>: {outcome}. <Note as="span">{minutes} min</Note>
              </chakra.li>
            ))}
          </chakra.ol>
        </Panel>
        <Panel title="It is …">
          <chakra.div display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
            <SelectField<FaultId | typeof NOBODY>
              label="What is wrong with it"
              value={named}
              options={[
                { value: NOBODY, label: 'not sure yet' },
                ...exercise.faults.map(({ id, name: label }) => ({ value: id, label })),
              ]}
              onChange={setNamed}
              disabled={verdict !== null}
            />
            <chakra.div display="flex" flexWrap="wrap" gap="2">
              <Button variant="lamp" onClick={name} disabled={named === NOBODY || verdict !== null}>
                That is it
              </Button>
              <Button variant="outline" onClick={() => goPractise(FIND_IT, anySeed())}>
                Another machine
              </Button>
            </chakra.div>
          </chakra.div>
        </Panel>
      </chakra.div>
    </chakra.div>
  )
}

function Verdict({ verdict }: { verdict: SearchVerdict }) {
  const { wasRight, named, fault, mend, minutes, bestMinutes, way, best } = verdict
  return (
    <Panel title={wasRight ? 'Found' : 'Not found'}>
      <chakra.div data-search-verdict={wasRight ? 'found' : 'missed'} display="grid" gap="3">
        <Stated role="status" fontWeight={700} color={wasRight ? 'holds' : 'fails'}>
          {wasRight ? `Right: ${fault}.` : `It was not “${named}”. It was: ${fault}.`}
        </Stated>
        <Stated>
          Your way took {minutes} min; a good one takes {bestMinutes} min.
          {wasRight &&
            minutes === 0 &&
            ' Without a single check that was a guess: on a machine it is a part taken out for nothing, most times.'}
        </Stated>
        <Note>{mend}</Note>
        <chakra.div display="grid" gap="4" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
          <Way title="Your way" steps={way} />
          <Way title="A good way" steps={best} />
        </chakra.div>
      </chakra.div>
    </Panel>
  )
}

/** A way through the checks, with the clock and with what it made likeliest. */
function Way({ title, steps }: { title: string; steps: readonly StepTold[] }) {
  return (
    <chakra.section aria-label={title}>
      <chakra.h3 fontWeight={700} mb="1">
        {title}
      </chakra.h3>
      {steps.length === 0 && <Note>No check.</Note>}
      <chakra.ol display="grid" gap="2">
        {steps.map(({ check, title: name, outcome, likeliest, probability }, index) => (
          <chakra.li key={check} fontSize="14px">
            <chakra.span fontFamily="mono">{minutesOf(steps.slice(0, index + 1))} min</chakra.span>{' '}
            <b>{name}</b>: {outcome}.
            <Note>
              Then likeliest: {likeliest}, {percent(probability)}.
            </Note>
          </chakra.li>
        ))}
      </chakra.ol>
    </chakra.section>
  )
}
