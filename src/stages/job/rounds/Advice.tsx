import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { EvaluationContext } from '@/core/evaluation/context'
import type { Finding, State } from '@/core/evaluation/finding'
import type { CheckId } from '@/core/sheets'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useEvaluation, useEvaluationBeside } from '../useEvaluation'
import { WorkingButton } from '../WorkingButton'
import styles from './advice.module.css'
import { useSays } from './said'

/** What to do, in one sentence a check, with its working: it follows every key. */
export function Advice({ checks }: { checks: readonly CheckId[] }) {
  return <Said findings={findingsOf(useEvaluation(), checks)} />
}

/** The same beside a table that is longer than the advice is urgent: what was typed stands at its place first. */
export function AdviceBeside({ checks }: { checks: readonly CheckId[] }) {
  return <Said findings={findingsOf(useEvaluationBeside(), checks)} />
}

const findingsOf = (context: EvaluationContext, checks: readonly CheckId[]) =>
  checks.flatMap(checkId => context.finding(checkId) ?? [])

function Said({ findings }: { findings: readonly Finding[] }) {
  useSays(findings.map(({ checkId }) => checkId))
  return (
    <section aria-label="What to do" className={styles.advice} data-hand>
      {findings.map(({ checkId, title, state, sentence }) => (
        <div key={checkId} className={styles.one} data-advice={checkId}>
          <Head checkId={checkId} title={title} state={state} />
          <p>{sentence}</p>
        </div>
      ))}
    </section>
  )
}

/** Drawn again only when it comes to another state: the sentence changes at every key. */
const Head = memo(function Head({
  checkId,
  title,
  state,
}: {
  checkId: CheckId
  title: string
  state: State
}) {
  return (
    <chakra.div display="flex" justifyContent="space-between" gap="2" flexWrap="wrap">
      <chakra.strong>{title}</chakra.strong>
      <chakra.span display="inline-flex" gap="3" alignItems="center">
        <WorkingButton checkId={checkId} of={title.toLowerCase()} />
        <StateMark state={state} />
      </chakra.span>
    </chakra.div>
  )
})
