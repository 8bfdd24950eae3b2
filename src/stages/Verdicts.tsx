import { chakra } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import { applyChoice } from '@/core/job/choiceCommand'
import type { StageId } from '@/core/job/nextAction'
import { CATALOGUE } from '@/core/sizing/parts'
import type { Finding } from '@/core/verdicts/finding'
import { type Choice, waysOut } from '@/core/verdicts/waysOut'
import { Button } from '@/ui/controls'
import { VerdictCard } from '@/ui/verdicts/VerdictCard'
import { WorkingPanel } from '@/ui/working/WorkingPanel'
import { useAxis, useAxisNow, useEdit, useEvaluation, useUnits, whole } from './bench'

/** The verdicts of the axis, worst first, with their working and their ways out. */
export function Verdicts({ onStage, onUndo }: { onStage: (stage: StageId) => void; onUndo: () => void }) {
  const { findings, figures } = useEvaluation()
  const axis = useAxis(whole)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [working, setWorking] = useState<Finding | null>(null)
  const [opened, setOpened] = useState<string | null>(null)
  const [applied, setApplied] = useState<string | null>(null)
  const openedState = findings.find(({ checkId }) => checkId === opened)?.state
  const ways = useMemo(
    () =>
      opened && (openedState === 'fails' || openedState === 'close')
        ? waysOut(axis, CATALOGUE, units, opened)
        : null,
    [opened, openedState, axis, units],
  )

  const onWays = useCallback(
    (checkId: string) => setOpened(before => (before === checkId ? null : checkId)),
    [],
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: the axis is read when it is applied, not when it is drawn
  const onApply = useCallback(
    (choice: Choice, label: string) => {
      edit(applyChoice(axisNow(), CATALOGUE, choice, label))
      setOpened(null)
      setApplied(label)
    },
    [edit],
  )
  const onMissing = useCallback(
    ({ missing }: Finding) => missing && onStage('part' in missing ? 'size' : 'survey'),
    [onStage],
  )

  return (
    <chakra.section aria-label="Verdicts of this axis" display="grid" gap="2">
      <chakra.h2 fontSize="17px" fontWeight={700}>
        Verdicts
      </chakra.h2>
      <chakra.div role="status">
        {applied && (
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
            <chakra.span fontSize="14px">Applied: {applied}</chakra.span>
            <Button
              variant="quiet"
              onClick={() => {
                onUndo()
                setApplied(null)
              }}
            >
              Undo it
            </Button>
          </chakra.div>
        )}
      </chakra.div>
      {findings.map(finding => (
        <VerdictCard
          key={finding.checkId}
          finding={finding}
          units={units}
          ways={opened === finding.checkId ? ways : null}
          onWays={onWays}
          onApply={onApply}
          onWorking={setWorking}
          onMissing={onMissing}
        />
      ))}
      <WorkingPanel finding={working} figures={figures} onClose={() => setWorking(null)} />
    </chakra.section>
  )
}
