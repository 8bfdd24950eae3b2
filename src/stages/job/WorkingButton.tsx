import { useState } from 'react'
import { Button } from '@/ui/controls'
import { useUnits } from './JobContext'
import { LaterWorking } from './LaterWorking'
import { useSettledAxis } from './useAxis'
import { evaluationOf, useCatalogue } from './useEvaluation'

/** Opens the working behind a figure of the stage; not there while the figure cannot be had. */
export function WorkingButton({ checkId, of }: { checkId: string; of: string }) {
  const { findings, figures } = evaluationOf(useSettledAxis(), useCatalogue(), useUnits())
  const [open, setOpen] = useState(false)
  const finding = findings.find(one => one.checkId === checkId)
  if (!finding || finding.because.length === 0) return null
  return (
    <>
      <Button variant="quiet" aria-label={`Working of ${of}`} onClick={() => setOpen(true)}>
        Working
      </Button>
      {open && <LaterWorking finding={finding} figures={figures} onClose={() => setOpen(false)} />}
    </>
  )
}
