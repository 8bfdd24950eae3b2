import { chakra } from '@chakra-ui/react'
import { BRACKET_HOLE_FIELDS, type BracketHole, MOST_ROWS } from '@/core/sheets/making'
import { bracketTemplate } from '@/core/sheets/template/drawing'
import { type Column, quantityColumns, RowsTable } from '@/ui/fields/RowsTable'
import { Panel } from '@/ui/Panel'
import { useCatalogue, useJob, useSettledAxis, useUnits } from '../bench'
import { DrawingSheet } from './DrawingSheet'
import { useMaking } from './useMaking'

const COLUMNS: Column<BracketHole>[] = [
  { key: 'label', label: 'Hole', is: 'words', most: 40 },
  ...quantityColumns<BracketHole>(BRACKET_HOLE_FIELDS),
]

/** The bracket's holes about the screw axis, as a drilling template at full size. */
export function TemplatePanel() {
  const { rowsOf } = useMaking()
  const units = useUnits()
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const jobName = useJob(job => job.name)
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const { bracketWidthMm: widthMm, bracketHeightMm: heightMm } = axis.making.section
  return (
    <Panel
      title="Drilling template"
      note="Holes of the nut bracket from the screw axis, seen from the fixed end. Print it at 100 %, lay a rule on the bar of 100 mm, then glue it on and punch through the crosses."
    >
      <RowsTable
        row="Bracket hole"
        columns={COLUMNS}
        {...rowsOf(
          making => making.bracketHoles,
          { change: 'Hole of the bracket', more: 'A bracket hole more', less: 'A bracket hole less' },
          holes => ({ label: `${holes.length + 1}`, xMm: 20, yMm: 20, diameterMm: 5.5 }),
        )}
        units={units}
        most={MOST_ROWS}
        addLabel="Another hole of the bracket"
      />
      {screw ? (
        <DrawingSheet
          drawing={bracketTemplate(
            `${jobName}, ${axis.name}: nut bracket`,
            axis.making.bracketHoles,
            { widthMm, heightMm },
            screw.nutBodyDiameterMm,
          )}
        />
      ) : (
        <chakra.p color="quiet">Choose a screw and its nut first: its body makes the bore.</chakra.p>
      )}
    </Panel>
  )
}
