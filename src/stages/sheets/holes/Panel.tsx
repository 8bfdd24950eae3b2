import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { SHOP, setShop } from '@/core/document/shop'
import { holeEnlarge } from '@/core/sheets/holes/calculation'
import { bungDrawing } from '@/core/sheets/holes/drawing'
import { holeInputs } from '@/core/sheets/holes/inputs'
import { HOLES, type Hole } from '@/core/sheets/holes/model'
import { say } from '@/core/units/print'
import { BungDrawing } from '@/ui/drawings/BungDrawing'
import { SizesField } from '@/ui/fields/SizesField'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useRows } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'

const holesOf = (axis: Axis) => axis.holes
const numberedHole = (rows: readonly Hole[]) => ({ label: `Hole ${rows.length + 1}` })
const WORDS = { cut: 'holds', 'too-thin': 'fails', 'no-cutter': 'fails' } as const

/** Holes of the casting that are bored larger: which cutter, what wall is left, and the bung that guides the pilot. */
export function HolesPanel() {
  const holes = useRows(HOLES, holesOf, numberedHole)
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
        of={SHOP.of.cutterSizesMm.of}
        onSizes={sizes => edit(setShop('cutterSizesMm', sizes))}
      />
      <chakra.div mt="3">
        <RowsTable {...holes} units={units} addLabel="Another hole" />
      </chakra.div>
      {holes.rows.map((hole, index) => {
        const { neededDiameterMm, cutterMm, wallAfterMm, verdict } = holeEnlarge(
          holeInputs(hole, cutterSizesMm),
        )
        return (
          <chakra.div
            key={hole.id}
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
