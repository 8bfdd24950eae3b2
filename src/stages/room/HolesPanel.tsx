import { chakra } from '@chakra-ui/react'
import { holeEnlarge } from '@/core/sheets/holes/calculation'
import { bungDrawing } from '@/core/sheets/holes/drawing'
import { HOLE_FIELDS, type Hole, MOST_ROWS } from '@/core/sheets/making'
import { setShop } from '@/core/sheets/makingCommands'
import { holeInputs } from '@/core/sheets/makingInputs'
import { say } from '@/core/units/print'
import { BungDrawing } from '@/ui/drawings/BungDrawing'
import { type Column, quantityColumns, RowsTable } from '@/ui/fields/RowsTable'
import { SizesField } from '@/ui/fields/SizesField'
import { Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useEdit, useJob, useUnits } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { DrawingSheet } from './DrawingSheet'
import { useMaking } from './useMaking'

const COLUMNS: Column<Hole>[] = [
  { key: 'label', label: 'Hole', is: 'words', most: 80, wide: true },
  ...quantityColumns<Hole>(HOLE_FIELDS),
]
const NEW: Hole = {
  label: 'Hole',
  existingDiameterMm: 20,
  requiredDiameterMm: 30,
  centreOffsetMm: 0,
  edgeDistanceMm: 40,
  minimumWallMm: 6,
  depthMm: 25,
}
const WORDS = { cut: 'holds', 'too-thin': 'fails', 'no-cutter': 'fails' } as const

/** Holes of the casting that are bored larger: which cutter, what wall is left, and the bung that guides the pilot. */
export function HolesPanel() {
  const { making, rowsOf } = useMaking()
  const cutterSizesMm = useJob(job => job.shop.cutterSizesMm)
  const units = useUnits()
  const edit = useEdit()
  const length = (mm: number) => say(mm, 'length', units, 1)
  return (
    <Panel
      title="Holes to enlarge"
      note="Where the new centre lies off the old one, the cut must swallow the old hole; a bung turned to the old hole holds the pilot drill where the metal is missing."
      action={<WorkingButton checkId="room.holes" of="the holes" />}
    >
      <SizesField
        label="Cutters at hand"
        sizesMm={cutterSizesMm}
        units={units}
        least={0.5}
        most={500}
        onSizes={sizes => edit(setShop('cutterSizesMm', sizes))}
      />
      <chakra.div mt="3">
        <RowsTable
          row="Hole"
          columns={COLUMNS}
          {...rowsOf(
            making => making.holes,
            { change: 'Hole to enlarge', more: 'A hole more', less: 'A hole less' },
            holes => ({ ...NEW, label: `Hole ${holes.length + 1}` }),
          )}
          units={units}
          most={MOST_ROWS}
          addLabel="Another hole"
        />
      </chakra.div>
      {making.holes.map((hole, index) => {
        const { neededDiameterMm, cutterMm, wallAfterMm, verdict } = holeEnlarge(
          holeInputs(hole, cutterSizesMm),
        )
        return (
          <chakra.div
            // biome-ignore lint/suspicious/noArrayIndexKey: a hole is its place in the table
            key={index}
            display="grid"
            gap="3"
            mt="3"
            pt="3"
            borderTopWidth="1px"
            alignItems="center"
            gridTemplateColumns={{ base: '1fr', md: '180px minmax(0, 1fr)' }}
            data-hole={index}
          >
            <BungDrawing
              label={`${hole.label}: old hole, new hole and bung, to scale`}
              oldMm={hole.existingDiameterMm}
              newMm={cutterMm ?? neededDiameterMm}
              offsetMm={hole.centreOffsetMm}
              edgeMm={hole.edgeDistanceMm}
            />
            <div>
              <chakra.p display="flex" gap="3" alignItems="center" fontWeight={700}>
                {hole.label} <StateMark state={WORDS[verdict]} />
              </chakra.p>
              <p>
                Needs {length(neededDiameterMm)}:{' '}
                {cutterMm === null
                  ? 'no cutter at hand is so large. Bore it, or borrow one.'
                  : `take the cutter of ${length(cutterMm)}; ${length(Math.max(0, wallAfterMm ?? 0))} of wall is left, against ${length(hole.minimumWallMm)} to keep.`}
                {verdict === 'too-thin' && ' Not fit to cut: move the centre, or take a smaller bearing.'}
              </p>
              {hole.existingDiameterMm > 0 && (
                <chakra.p color="quiet" fontSize="14px">
                  Bung: {length(hole.existingDiameterMm)} outside, {length(hole.depthMm)} long, pilot hole{' '}
                  {hole.centreOffsetMm > 0
                    ? `${length(hole.centreOffsetMm)} off its middle`
                    : 'in its middle'}
                  .
                </chakra.p>
              )}
            </div>
            {hole.existingDiameterMm > 0 && (
              <chakra.div gridColumn="1 / -1">
                <DrawingSheet drawing={bungDrawing(`Bung for ${hole.label}`, hole)} />
              </chakra.div>
            )}
          </chakra.div>
        )
      })}
    </Panel>
  )
}
