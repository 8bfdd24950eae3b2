import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Stated } from '@/ui/Note'
import { ProgressBar } from '@/ui/ProgressBar'
import type { Run } from './useRun'

interface Props {
  run: Run<unknown>
  /** What it does, for its bar: "Searching…". */
  doing: string
  /** What came of it. */
  children?: ReactNode
}

/** Where work beside the screen stands, said as it changes. */
export function RunProgress({ run, doing, children }: Props) {
  return (
    <div role="status" aria-live="polite" aria-busy={run.kind === 'running' || undefined}>
      {run.kind === 'running' && (
        <Stated as="div">
          {doing}
          <ProgressBar aria-label={doing} max={1} value={run.share} />
        </Stated>
      )}
      {run.kind === 'stopped' && <chakra.p color="quiet">Stopped. Nothing was changed.</chakra.p>}
      {run.kind === 'failed' && (
        <chakra.p color="fails">It did not come to an end: {run.message}. Nothing was changed.</chakra.p>
      )}
      {children}
    </div>
  )
}
