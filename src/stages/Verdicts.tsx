import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { memo, type RefObject, useCallback, useEffect, useRef, useState } from 'react'
import type { Axis } from '@/core/document/job'
import type { Finding } from '@/core/evaluation/finding'
import type { Choice } from '@/core/sheets/choice'
import { applyChoice } from '@/core/sheets/choiceCommand'
import type { StageId } from '@/core/sheets/nextAction'
import type { WayOut } from '@/core/sheets/remedies'
import { Button } from '@/ui/controls'
import { VerdictCard } from '@/ui/verdicts/VerdictCard'
import styles from '@/ui/verdicts/verdicts.module.css'
import { benchWorker } from '@/workers/client'
import {
  evaluationOf,
  useAxis,
  useAxisNow,
  useCatalogue,
  useEdit,
  useEvaluation,
  useSettledAxis,
  useTask,
  useUnits,
  whole,
} from './bench'
import { LaterWorking } from './LaterWorking'

const LimitDialog = dynamic(() => import('./LimitDialog').then(module => module.LimitDialog), { ssr: false })

/** The verdicts of the axis, worst first, with their working and their ways out. */
export function Verdicts({ onStage, onUndo }: { onStage: (stage: StageId) => void; onUndo: () => void }) {
  const { findings, figures } = useEvaluation()
  const axis = useAxis(whole)
  const units = useUnits()
  const catalogue = useCatalogue()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [working, setWorking] = useState<string | null>(null)
  const [limited, setLimited] = useState<string | null>(null)
  const [opened, setOpened] = useState<string | null>(null)
  const [applied, setApplied] = useState<string | null>(null)
  const openedState = findings.find(({ checkId }) => checkId === opened)?.state
  const mendable = openedState === 'fails' || openedState === 'close'
  const ways = useWaysOut(axis, mendable ? opened : null)

  const onWays = useCallback(
    (checkId: string) => setOpened(before => (before === checkId ? null : checkId)),
    [],
  )
  const onApply = useCallback(
    (choice: Choice, label: string) => {
      edit(applyChoice(axisNow(), catalogue, choice, label))
      setOpened(null)
      setApplied(label)
    },
    [edit, axisNow, catalogue],
  )
  const onMissing = useCallback(
    (missing: NonNullable<Finding['missing']>) => onStage('part' in missing ? 'size' : 'survey'),
    [onStage],
  )

  const list = useRef<HTMLElement>(null)
  const inOrder = useCalmOrder(findings)
  const outOfSight = useOutOfSight(list, inOrder)
  const settled = evaluationOf(useSettledAxis(), catalogue, units).findings
  const held = findings.find(({ checkId }) => checkId === limited)
  const shown = working === null ? undefined : findings.find(({ checkId }) => checkId === working)
  return (
    <section ref={list} aria-label="Verdicts of this axis" className={styles.list}>
      <h2 className={styles.heading}>Verdicts</h2>
      <Applied
        label={applied}
        onUndo={() => {
          onUndo()
          setApplied(null)
        }}
      />
      {inOrder.map(finding => (
        <VerdictCard
          key={finding.checkId}
          finding={
            (outOfSight.has(finding.checkId) && settled.find(one => one.checkId === finding.checkId)) ||
            finding
          }
          units={units}
          open={opened === finding.checkId}
          ways={opened === finding.checkId ? ways : null}
          onWays={onWays}
          onApply={onApply}
          onWorking={setWorking}
          onLimit={setLimited}
          onMissing={onMissing}
        />
      ))}
      {shown && <LaterWorking finding={shown} figures={figures} onClose={() => setWorking(null)} />}
      {held?.limitKey && (
        <LimitDialog limitKey={held.limitKey} title={held.title} onClose={() => setLimited(null)} />
      )}
    </section>
  )
}

/** The way out that was just applied, with the one click that takes it back. */
const Applied = memo(function Applied({ label, onUndo }: { label: string | null; onUndo: () => void }) {
  return (
    <div role="status">
      {label && (
        <chakra.div
          display="flex"
          alignItems="center"
          justifyContent="space-between"
          gap="2"
          bg="raised"
          borderRadius="6px"
          px="3"
          py="1"
        >
          <chakra.span fontSize="14px">Applied: {label}</chakra.span>
          <Button variant="quiet" onClick={onUndo}>
            Undo it
          </Button>
        </chakra.div>
      )}
    </div>
  )
})

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

/** Ways out of a finding, worked out beside the screen; null while they are. */
function useWaysOut(axis: Axis, checkId: string | null): WayOut[] | null {
  const task = useTask(axis)
  const [found, setFound] = useState<{ checkId: string; ways: WayOut[] } | null>(null)
  useEffect(() => {
    if (checkId === null) return
    let current = true
    benchWorker()
      .waysOut(task, checkId)
      .then(ways => current && setFound({ checkId, ways }))
    return () => {
      current = false
    }
  }, [task, checkId])
  return found?.checkId === checkId ? found.ways : null
}
