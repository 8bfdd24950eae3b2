import { chakra } from '@chakra-ui/react'
import { DIMENSIONS } from '@/core/document/dimensions'
import { inItsWord } from '@/core/machine/movingPart'
import { stillToMeasure } from '@/core/machine/stillToMeasure'
import { placeOfDimension } from '@/core/sheets/dimensionPlace'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useSettledAxis } from '../../job/useAxis'

/** What is assumed, with how to measure it using shop tools; each leads to its field. */
export function ToMeasurePanel() {
  const axis = useSettledAxis()
  const jobId = useJob(job => job.id)
  const open = stillToMeasure(axis)
  if (open.length === 0)
    return (
      <Panel title="Still to measure: nothing">
        <chakra.p color="quiet">Every dimension is measured or from a sheet.</chakra.p>
      </Panel>
    )
  return (
    <Panel
      title={`Still to measure: ${open.length}`}
      note="Castings of one model differ. Until these are measured, verdicts rest on assumed values."
    >
      <chakra.ul display="grid" gap="2">
        {open.map(key => (
          <chakra.li key={key} display="grid" gap="0.5" pl="3" borderLeftWidth="3px">
            <div>
              <PlaceButton
                data-words
                variant="outline"
                place={{ jobId, axisId: axis.id, ...placeOfDimension(key), field: key }}
              >
                {DIMENSIONS[key].label}
              </PlaceButton>
            </div>
            <Note>{inItsWord(DIMENSIONS[key].help, axis)}</Note>
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}
