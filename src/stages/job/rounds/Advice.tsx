import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { State } from '@/core/evaluation/finding'
import type { CheckId } from '@/core/sheets'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useEvaluation } from '../useEvaluation'
import { WorkingButton } from '../WorkingButton'
import styles from './advice.module.css'

/** What to do, in one sentence a check, with its working: it follows every key. */
export function Advice({ checks }: { checks: readonly CheckId[] }) {
  const context = useEvaluation()
  const findings = checks.flatMap(checkId => context.finding(checkId) ?? [])
  return (
    <section aria-label="What to do" className={styles.advice}>
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
