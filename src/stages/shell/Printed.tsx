import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { type SheetId, sheetsOf } from '@/core/sheets'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { usePageMarks } from '@/ui/frame/usePageMarks'
import { useJob } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { PANELS } from '../sheets'

/** Whether the page is being printed. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    // At once, for what is printed is what stands there when this ends.
    const start = () => flushSync(() => setPrinting(true))
    const end = () => setPrinting(false)
    addEventListener('beforeprint', start)
    addEventListener('afterprint', end)
    return () => {
      removeEventListener('beforeprint', start)
      removeEventListener('afterprint', end)
    }
  }, [])
  return printing
}

/** What a page of the axis, or of the whole machine, is about. */
function useAbout(axisId: string, stage: Stage): string {
  const machine = useJob(job => job.name)
  const axis = useJob(job => job.axes.find(({ id }) => id === axisId))
  const { label } = STAGE_WORDS[stage]
  return stage === 'machine' ? machine : `${machine}, axis ${axis?.name}: ${axis?.title} · ${label}`
}

/** The head of the paper, and under the sheets what they were found to hold; on paper alone. */
export function PrintedHead({ axisId, stage }: { axisId: string; stage: Stage }) {
  const about = useAbout(axisId, stage)
  usePageMarks(about)
  return (
    usePrinting() && (
      <chakra.header
        borderBottomWidth="2px"
        borderColor="ink"
        mb="3"
        display="flex"
        gap="4"
        alignItems="baseline"
      >
        <chakra.p flex="1" fontSize="20px" fontWeight={700} overflowWrap="anywhere">
          {about}
        </chakra.p>
        <chakra.p whiteSpace="nowrap">{dayWords(new Date().toISOString())}</chakra.p>
      </chakra.header>
    )
  )
}

export const PrintedFindings = ({ stage }: { stage: Stage }) =>
  usePrinting() && stage !== 'machine' && <Findings stage={stage} />

function Findings({ stage }: { stage: Stage }) {
  const findings = useEvaluation().findings.filter(finding => finding.stage === stage)
  if (findings.length === 0) return null
  return (
    <chakra.section aria-label="Verdicts of this stage">
      <chakra.h2 fontSize="17px" fontWeight={700}>
        Verdicts: {STAGE_WORDS[stage].label}
      </chakra.h2>
      {findings.map(({ checkId, title, state, sentence }) => (
        <chakra.p key={checkId} data-finding mt="1">
          <b>
            {STATE_WORDS[state]}: {title}.
          </b>{' '}
          {sentence}
        </chakra.p>
      ))}
    </chakra.section>
  )
}

/** So long the sheets of a stage may take to come; those that are there then are printed. */
const LONGEST_MS = 30_000
const LOOK_EVERY_MS = 100

/** Every sheet of a stage under one another, for as long as it takes to print them. */
export function StageOnPaper({ stage, onPrinted }: { stage: Stage; onPrinted: () => void }) {
  const sheets = sheetsOf(stage)
  useEffect(() => {
    addEventListener('afterprint', onPrinted)
    const start = performance.now()
    const timer = setInterval(() => {
      const here = document.querySelectorAll('[data-paper] > * > section').length
      const undrawn = document.querySelector(`[data-paper] :is([role=img]:empty, [aria-busy=true])`) !== null
      if ((here < sheets.length || undrawn) && performance.now() - start < LONGEST_MS) return
      clearInterval(timer)
      window.print()
    }, LOOK_EVERY_MS)
    return () => {
      clearInterval(timer)
      removeEventListener('afterprint', onPrinted)
    }
  }, [sheets.length, onPrinted])
  return (
    <div data-paper>
      {sheets.map(({ id }) => (
        <PaperOf key={id} sheet={id} />
      ))}
    </div>
  )
}

function PaperOf({ sheet }: { sheet: SheetId }) {
  const Panel = PANELS[sheet]
  return (
    <div>
      <Panel />
    </div>
  )
}

/** The two ways to put on paper what one looks at. */
export function PrintButtons({ stage, onStage }: { stage: Stage; onStage: () => void }) {
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="1">
      <Button variant="quiet" onClick={() => window.print()}>
        Print this sheet
      </Button>
      {sheetsOf(stage).length > 1 && (
        <Button variant="quiet" onClick={onStage}>
          Print all sheets of {STAGE_WORDS[stage].label}
        </Button>
      )}
    </chakra.div>
  )
}
