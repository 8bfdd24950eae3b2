import { useCallback, useState } from 'react'
import type { EvaluationContext } from '@/core/evaluation/context'
import type { CheckId } from '@/core/sheets'
import { Button } from '@/ui/controls'
import { LaterWorking } from './LaterWorking'
import { useSettledEvaluation, useWorkedOut } from './useEvaluation'

interface Props {
  checkId: CheckId
  of: string
}

/** Opens the working behind a figure of the stage; not there while the figure cannot be had. */
export function WorkingButton({ checkId, of }: Props) {
  const has = useCallback(
    (evaluation: EvaluationContext) => (evaluation.finding(checkId)?.because.length ?? 0) > 0,
    [checkId],
  )
  const isThere = useWorkedOut(has)
  const [open, setOpen] = useState(false)
  if (!isThere) return null
  return (
    <>
      <Button variant="quiet" aria-label={`Working of ${of}`} onClick={() => setOpen(true)}>
        Working
      </Button>
      {open && <Opened checkId={checkId} onClose={() => setOpen(false)} />}
    </>
  )
}

function Opened({ checkId, onClose }: { checkId: CheckId; onClose: () => void }) {
  const evaluation = useSettledEvaluation()
  const finding = evaluation.finding(checkId)
  return (
    finding && (
      <LaterWorking
        finding={finding}
        figures={evaluation.figures}
        units={evaluation.units}
        onClose={onClose}
      />
    )
  )
}
