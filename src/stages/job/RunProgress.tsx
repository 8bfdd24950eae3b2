import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
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
    <div role="status" aria-live="polite">
      {run.kind === 'running' && (
        <chakra.label display="block" fontSize="14px">
          {doing}
          <chakra.progress
            display="block"
            width="100%"
            max={1}
            value={run.share}
            css={{
              appearance: 'none',
              height: '10px',
              '&::-webkit-progress-bar': { background: 'var(--dusk-colors-sunken)', borderRadius: '5px' },
              '&::-webkit-progress-value': { background: 'var(--dusk-colors-lamp)', borderRadius: '5px' },
              '&::-moz-progress-bar': { background: 'var(--dusk-colors-lamp)' },
            }}
          />
        </chakra.label>
      )}
      {run.kind === 'stopped' && <chakra.p color="quiet">Stopped. Nothing was changed.</chakra.p>}
      {run.kind === 'failed' && (
        <chakra.p color="fails">It did not come to an end: {run.message}. Nothing was changed.</chakra.p>
      )}
      {children}
    </div>
  )
}
