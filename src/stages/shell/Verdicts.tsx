import dynamic from 'next/dynamic'
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { StaleError } from '@/core/document/patch'
import type { Stage } from '@/core/document/stages'
import type { Finding } from '@/core/evaluation/finding'
import { type Remedy, remedyEdit } from '@/core/evaluation/remedy'
import type { CheckId, LimitKey, SheetId } from '@/core/sheets'
import { readyToasts } from '@/ui/toasts'
import { VerdictCard } from '@/ui/verdicts/VerdictCard'
import styles from '@/ui/verdicts/verdicts.module.css'
import { judgeWorker } from '@/workers/client'
import { useEdit, useJobContext, useUnits, whole } from '../job/JobContext'
import { LaterWorking } from '../job/LaterWorking'
import { goToSheet } from '../job/place'
import { useAxis, useAxisNow } from '../job/useAxis'
import { useEvaluation, useSettledEvaluation, useTask } from '../job/useEvaluation'
import { useAnswer } from '../job/useRun'

const LimitDialog = dynamic(() => import('./LimitDialog').then(module => module.LimitDialog), { ssr: false })

/** The verdicts of the axis, worst first, with their working and their ways out. */
export function Verdicts({ onStage }: { onStage: (stage: Stage) => void }) {
  const evaluation = useEvaluation()
  const { findings, figures } = evaluation
  const axis = useAxis(whole)
  const units = useUnits()
  const [working, setWorking] = useState<string | null>(null)
  const [limited, setLimited] = useState<string | null>(null)
  const [opened, setOpened] = useState<string | null>(null)
  const openedState = findings.find(({ checkId }) => checkId === opened)?.state
  const mendable = openedState === 'fails' || openedState === 'close'
  const remedies = useRemedies(axis, mendable ? (opened as CheckId) : null)
  const apply = useApply()

  const onRemedies = useCallback((checkId: string) => {
    readyToasts()
    setOpened(before => (before === checkId ? null : checkId))
  }, [])
  const onApply = useCallback(
    (remedy: Remedy) => {
      void apply(remedy)
      setOpened(null)
    },
    [apply],
  )
  const onMissing = useCallback(
    (missing: NonNullable<Finding['missing']>) => {
      onStage('part' in missing ? 'size' : 'sheet' in missing ? missing.stage : 'survey')
      if ('sheet' in missing) goToSheet(missing.sheet as SheetId)
    },
    [onStage],
  )

  const list = useRef<HTMLElement>(null)
  const inOrder = useCalmOrder(findings)
  const outOfSight = useOutOfSight(list, inOrder)
  const settled = useSettledEvaluation()
  const held = findings.find(({ checkId }) => checkId === limited)
  const shown = working === null ? undefined : findings.find(({ checkId }) => checkId === working)
  return (
    <section ref={list} aria-label="Verdicts of this axis" className={styles.list}>
      <h2 className={styles.heading}>Verdicts</h2>
      {inOrder.map(finding => (
        <VerdictCard
          key={finding.checkId}
          finding={
            (outOfSight.has(finding.checkId) && settled.finding(finding.checkId as CheckId)) || finding
          }
          units={units}
          open={opened === finding.checkId}
          remedies={opened === finding.checkId ? remedies : null}
          onRemedies={onRemedies}
          onApply={onApply}
          onWorking={setWorking}
          onLimit={setLimited}
          onMissing={onMissing}
        />
      ))}
      {shown && (
        <LaterWorking finding={shown} figures={figures} units={units} onClose={() => setWorking(null)} />
      )}
      {held?.limitKey && (
        <LimitDialog
          limitKey={held.limitKey as LimitKey}
          title={held.title}
          onClose={() => setLimited(null)}
        />
      )}
    </section>
  )
}

/** Applies a remedy and says so, with the one click that takes just that back, whatever was done since. */
function useApply() {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { session } = useJobContext()
  return useCallback(
    async (remedy: Remedy) => {
      const { ACTION_MS, toaster } = await import('@/ui/toaster')
      let changeId: string | null
      try {
        changeId = edit(remedyEdit(axisNow(), remedy))
      } catch (error) {
        if (!(error instanceof StaleError)) throw error
        toaster.create({
          type: 'warning',
          title: `Not applied: ${remedy.label}`,
          description: 'The axis was changed since it was worked out. Open the ways out again.',
        })
        return
      }
      const id = changeId
      if (id === null) return
      const undo = async () => {
        const why = await session.undoOne(id)
        if (why)
          toaster.create({ type: 'warning', title: `Not taken back: ${remedy.label}`, description: why })
      }
      toaster.create({
        title: `Applied: ${remedy.label}`,
        duration: ACTION_MS,
        action: { label: 'Undo it', onClick: () => void undo() },
      })
    },
    [edit, axisNow, session],
  )
}

/** How long the figures must be at rest before the list is put in a new order. */
const REST_MS = 700

/**
 * The findings in an order that stays while a value is typed, so that no verdict jumps away under the eye; it
 * follows when the typing rests. A finding that is new stands where it belongs at once.
 */
function useCalmOrder(findings: Finding[]): Finding[] {
  const [order, setOrder] = useState<string[]>(() => findings.map(({ checkId }) => checkId))
  const wanted = findings.map(({ checkId }) => checkId).join()
  useEffect(() => {
    const timer = setTimeout(() => setOrder(wanted.split(',')), REST_MS)
    return () => clearTimeout(timer)
  }, [wanted])
  const known = findings.every(({ checkId }) => order.includes(checkId))
  return known ? findings.toSorted((a, b) => order.indexOf(a.checkId) - order.indexOf(b.checkId)) : findings
}

/**
 * The checks whose cards are scrolled out of sight. Laying them out anew at every key would cost more than all
 * that is in sight: they follow when the typing rests.
 */
function useOutOfSight(list: RefObject<HTMLElement | null>, findings: Finding[]): ReadonlySet<string> {
  const [outOfSight, setOutOfSight] = useState<ReadonlySet<string>>(new Set())
  const cards = findings
    .map(({ checkId }) => checkId)
    .toSorted()
    .join()
  // biome-ignore lint/correctness/useExhaustiveDependencies: watches anew when there are other cards
  useEffect(() => {
    const observer = new IntersectionObserver(seen =>
      setOutOfSight(before => {
        const after = new Set(before)
        for (const { target, isIntersecting } of seen) {
          const { check = '' } = (target as HTMLElement).dataset
          if (isIntersecting) after.delete(check)
          else after.add(check)
        }
        return after
      }),
    )
    for (const card of list.current?.querySelectorAll('[data-check]') ?? []) observer.observe(card)
    return () => observer.disconnect()
  }, [list, cards])
  return outOfSight
}

/** Remedies of a finding, worked out beside the screen; null while they are. */
function useRemedies(axis: Axis, checkId: CheckId | null): Remedy[] | null {
  const task = useTask(axis)
  const ask = useCallback(() => judgeWorker().remedies(task, checkId as CheckId), [task, checkId])
  return useAnswer(checkId === null ? null : ask, checkId)
}
