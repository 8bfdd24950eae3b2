import { chakra } from '@chakra-ui/react'
import { ChevronUp } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Stage } from '@/core/document/stages'
import { countWords } from '@/core/evaluation/finding'
import { stateCounts } from '@/core/evaluation/verdictGroups'
import type { SheetId } from '@/core/sheets'
import { StateShape } from '@/ui/verdicts/StateMark'
import { useFindings } from '../job/useEvaluation'
import { Verdicts } from './Verdicts'

const Drawer = dynamic(() => import('@/ui/Drawer').then(module => module.Drawer), { ssr: false })

/** The counts of the verdicts at the foot of a screen that has no room for them; it opens them as a drawer. */
export function FootBar(props: { jobId: string; stage: Stage; sheet: SheetId }) {
  const findings = useFindings()
  const counts = stateCounts(findings)
  const [open, setOpen] = useState(false)
  const close = () => setOpen(false)
  return (
    <>
      <chakra.button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(true)}
        data-foot
        position="fixed"
        bottom="0"
        left="0"
        right="0"
        zIndex="sticky"
        display="flex"
        alignItems="center"
        gap="4"
        minH="52px"
        px="4"
        bg="panel"
        borderTopWidth="2px"
        borderColor="line"
        cursor="pointer"
        fontSize="15px"
      >
        <chakra.strong>Verdicts</chakra.strong>{' '}
        {counts.map(({ state, count }) => (
          <chakra.span key={state} display="inline-flex" alignItems="center" gap="1.5">
            <StateShape state={state} />
            {countWords(state, count)}{' '}
          </chakra.span>
        ))}
        <chakra.span flex="1" />
        <ChevronUp size={20} aria-hidden />
      </chakra.button>
      {open && (
        <Drawer title="Verdicts of this axis" onClose={close}>
          <Verdicts {...props} onGone={close} />
        </Drawer>
      )}
    </>
  )
}
