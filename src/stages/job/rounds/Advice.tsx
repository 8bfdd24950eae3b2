import { chakra } from '@chakra-ui/react'
import type { Finding } from '@/core/evaluation/finding'
import type { CheckId } from '@/core/sheets'
import { StateMark } from '@/ui/verdicts/StateMark'
import { WorkingButton } from '../WorkingButton'

/** What to do, in one sentence a check, with its working. */
export function Advice({ findings }: { findings: readonly Finding[] }) {
  return (
    <chakra.section
      aria-label="What to do"
      display="grid"
      gap="2"
      gridTemplateColumns="repeat(auto-fit, minmax(min(300px, 100%), 1fr))"
    >
      {findings.map(finding => (
        <chakra.div key={finding.checkId} bg="raised" borderRadius="6px" p="3" data-advice={finding.checkId}>
          <chakra.div display="flex" justifyContent="space-between" gap="2" flexWrap="wrap">
            <chakra.strong>{finding.title}</chakra.strong>
            <chakra.span display="inline-flex" gap="3" alignItems="center">
              <WorkingButton checkId={finding.checkId as CheckId} of={finding.title.toLowerCase()} />
              <StateMark state={finding.state} />
            </chakra.span>
          </chakra.div>
          <p>{finding.sentence}</p>
        </chakra.div>
      ))}
    </chakra.section>
  )
}
