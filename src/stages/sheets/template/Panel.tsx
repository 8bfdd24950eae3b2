import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { blankRecord } from '@/core/field/field'
import { nextHole } from '@/core/sheets/shared/cuts/holesAboutScrew'
import { BOLT_CIRCLE, boltCircle } from '@/core/sheets/template/boltCircle'
import { bracketSolid, bracketTemplate } from '@/core/sheets/template/drawing'
import { BRACKET_HOLES } from '@/core/sheets/template/model'
import { Button } from '@/ui/controls'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useJob, useUnits } from '../../job/JobContext'
import { useSettledAxis } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'

const holesOf = (axis: Axis) => axis.bracketHoles

/** The bracket's holes about the screw axis, as a drilling template at full size. */
export function TemplatePanel() {
  const holes = useRows(BRACKET_HOLES, holesOf, nextHole)
  const units = useUnits()
  return (
    <Panel
      title="Drilling template"
      note="Holes of the nut bracket from the screw axis, seen from the fixed end. Print it at 100 %, lay a rule on its bar, then glue it on and punch through the crosses."
    >
      <RowsTable {...holes} units={units} addLabel="Another hole of the bracket" />
      <CircleOfHoles />
      <Template />
    </Panel>
  )
}

/** A flange's pattern, typed as its nut's sheet gives it, put into the table as holes. */
function CircleOfHoles() {
  const units = useUnits()
  const change = useChange()
  const [circle, setCircle] = useState(() => blankRecord(BOLT_CIRCLE.of))
  const holes = boltCircle(circle)
  return (
    <chakra.fieldset mt="3" pt="3" borderTopWidth="1px">
      <chakra.legend srOnly>Holes on a bolt circle</chakra.legend>
      <Note mb="2">The flange of a nut has its holes on a circle: type it as the nut's sheet gives it.</Note>
      <FieldGrid
        fields={BOLT_CIRCLE.of}
        values={circle}
        units={units}
        onValue={(key, value) => setCircle(now => ({ ...now, [key]: value }))}
      >
        <Button
          variant="outline"
          alignSelf="end"
          disabled={holes.length === 0}
          onClick={() =>
            change('Bolt circle put in', axis => {
              axis.bracketHoles.push(...holes.map(hole => ({ id: newId(), ...hole })))
            })
          }
        >
          Put its holes in
        </Button>
      </FieldGrid>
    </chakra.fieldset>
  )
}

function Template() {
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const units = useUnits()
  const jobName = useJob(job => job.name)
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.section
  if (!screw)
    return <chakra.p color="quiet">Choose a screw and its nut first: its body makes the bore.</chakra.p>
  const title = `${jobName}, ${axis.name}: nut bracket`
  return (
    <DrawingSheet
      solid={bracketSolid(
        title,
        axis.bracketHoles,
        { widthMm, heightMm },
        screw.nutBodyDiameterMm,
        axis.dimensions.bracketThicknessMm.value,
      )}
      drawing={bracketTemplate(
        title,
        axis.bracketHoles,
        { widthMm, heightMm },
        screw.nutBodyDiameterMm,
        units,
      )}
    />
  )
}
