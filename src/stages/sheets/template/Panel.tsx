import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { bracketTemplate } from '@/core/sheets/template/drawing'
import { BRACKET_HOLES, type BracketHole } from '@/core/sheets/template/model'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useJob, useUnits } from '../../job/JobContext'
import { useSettledAxis } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { useRows } from '../../job/useRows'

const holesOf = (axis: Axis) => axis.bracketHoles
const numberedHole = (rows: readonly BracketHole[]) => ({ label: `${rows.length + 1}` })

/** The bracket's holes about the screw axis, as a drilling template at full size. */
export function TemplatePanel() {
  const holes = useRows(BRACKET_HOLES, holesOf, numberedHole)
  const units = useUnits()
  return (
    <Panel
      title="Drilling template"
      note="Holes of the nut bracket from the screw axis, seen from the fixed end. Print it at 100 %, lay a rule on the bar of 100 mm, then glue it on and punch through the crosses."
    >
      <RowsTable {...holes} units={units} addLabel="Another hole of the bracket" />
      <Template />
    </Panel>
  )
}

function Template() {
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const jobName = useJob(job => job.name)
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.section
  if (!screw)
    return <chakra.p color="quiet">Choose a screw and its nut first: its body makes the bore.</chakra.p>
  return (
    <DrawingSheet
      drawing={bracketTemplate(
        `${jobName}, ${axis.name}: nut bracket`,
        axis.bracketHoles,
        { widthMm, heightMm },
        screw.nutBodyDiameterMm,
      )}
    />
  )
}
