import { useState } from 'react'
import { Button } from '@/ui/controls'
import { LaterWorking } from './LaterWorking'
import { useEvaluation } from './useEvaluation'

interface Props {
  /** What the figures are of, as the button says it. */
  of: string
  /** What they come to, as a sentence. */
  sentence: string
  /** Names under which the context knows them. */
  names: readonly string[]
}

/** Opens the working behind figures that no verdict rests on; not there while they cannot be had. */
export function FiguresButton({ of, sentence, names }: Props) {
  const { figures, units } = useEvaluation()
  const [open, setOpen] = useState(false)
  const known = names.filter(name => figures[name])
  if (known.length === 0) return null
  return (
    <>
      <Button variant="quiet" aria-label={`Working of ${of}`} onClick={() => setOpen(true)}>
        Working
      </Button>
      {open && (
        <LaterWorking
          finding={{ title: of, sentence, because: known.toReversed(), restsOn: [] }}
          figures={figures}
          units={units}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  )
}
