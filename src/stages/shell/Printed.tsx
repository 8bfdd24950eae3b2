import { chakra } from '@chakra-ui/react'
import { useCallback, useEffect, useState } from 'react'
import { flushSync } from 'react-dom'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { type SheetId, sheetsOf } from '@/core/sheets'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { usePageMarks } from '@/ui/frame/usePageMarks'
import { useJob } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { PANELS } from '../sheets/panels.generated'

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

const LOOK_EVERY_MS = 100

/** What is not worked out or drawn yet, of a part of the page. */
const UNDER_WAY = ':is([role=img]:empty, [aria-busy=true])'

/**
 * Prints as soon as nothing of it is under way, however long that takes.
 *
 * @param isReady looks whether all of it is there
 * @returns whether it still waits
 */
function usePrintWhen(isReady: () => boolean, wanted: boolean, onAsked?: () => void): boolean {
  const [waits, setWaits] = useState(false)
  useEffect(() => {
    if (!wanted) return
    setWaits(true)
    const timer = setInterval(() => {
      if (!isReady()) return
      clearInterval(timer)
      // What says that it waits is gone before the page is laid out for paper.
      flushSync(() => setWaits(false))
      window.print()
      onAsked?.()
    }, LOOK_EVERY_MS)
    return () => {
      clearInterval(timer)
      setWaits(false)
    }
  }, [wanted, isReady, onAsked])
  return waits
}

/** Paper that waits for what it prints, with the ways not to wait. */
function Waiting({ onNow, onLeave }: { onNow: () => void; onLeave: () => void }) {
  return (
    <chakra.div
      data-frame
      data-paper-waits
      role="status"
      display="flex"
      flexWrap="wrap"
      gap="2"
      alignItems="center"
      mb="3"
    >
      <chakra.span fontWeight={700}>Paper waits for what is still being worked out…</chakra.span>
      <Button variant="outline" onClick={onNow}>
        Print without it
      </Button>
      <Button variant="quiet" onClick={onLeave}>
        Do not print
      </Button>
    </chakra.div>
  )
}

/** Every sheet has come, some with several sections, and nothing of it is under way. */
const isStageReady = () =>
  document.querySelector(`[data-paper] > :not(:has(section)), [data-paper] ${UNDER_WAY}`) === null

/** Every sheet of a stage under one another, for as long as it takes to print them. */
export function StageOnPaper({ stage, onPrinted }: { stage: Stage; onPrinted: () => void }) {
  const sheets = sheetsOf(stage)
  useEffect(() => {
    addEventListener('afterprint', onPrinted)
    return () => removeEventListener('afterprint', onPrinted)
  }, [onPrinted])
  const waits = usePrintWhen(isStageReady, true)
  return (
    <>
      {waits && <Waiting onNow={() => window.print()} onLeave={onPrinted} />}
      <div data-paper>
        {sheets.map(({ id }) => (
          <PaperOf key={id} sheet={id} />
        ))}
      </div>
    </>
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

const isSheetReady = () => document.querySelector(`#sheet ${UNDER_WAY}`) === null

/** The two ways to put on paper what one looks at. */
export function PrintButtons({ stage, onStage }: { stage: Stage; onStage: () => void }) {
  const [wanted, setWanted] = useState(false)
  const leave = useCallback(() => setWanted(false), [])
  const waits = usePrintWhen(isSheetReady, wanted, leave)
  return (
    <>
      {waits && <Waiting onNow={() => window.print()} onLeave={leave} />}
      <chakra.div display="flex" flexWrap="wrap" gap="1">
        <Button variant="quiet" onClick={() => (isSheetReady() ? window.print() : setWanted(true))}>
          Print this sheet
        </Button>
        {sheetsOf(stage).length > 1 && (
          <Button variant="quiet" onClick={onStage}>
            Print all sheets of {STAGE_WORDS[stage].label}
          </Button>
        )}
      </chakra.div>
    </>
  )
}
