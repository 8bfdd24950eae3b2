import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { isUsual, SHOP, setShop } from '@/core/document/shop'
import { gapWords, isFilled } from '@/core/evaluation/filled'
import { holeEnlarge } from '@/core/sheets/holes/calculation'
import { HOLE_STATES, holeWords } from '@/core/sheets/holes/check'
import { guideWords } from '@/core/sheets/holes/cuts'
import { bungDrawing, bungSolid } from '@/core/sheets/holes/drawing'
import { HOLE_NEEDS, holeInputs, type MeasuredHole } from '@/core/sheets/holes/inputs'
import { HOLES, type Hole } from '@/core/sheets/holes/model'
import { say } from '@/core/units/print'
import { BungDrawing } from '@/ui/drawings/BungDrawing'
import { SizesField } from '@/ui/fields/SizesField'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useRows } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'

const holesOf = (axis: Axis) => axis.holes
const numberedHole = (rows: readonly Hole[]) => ({ label: `Hole ${rows.length + 1}` })

/** Holes of the casting that are bored larger: which cutter, what wall is left, and what guides the pilot. */
export function HolesPanel() {
  const holes = useRows(HOLES, holesOf, numberedHole)
  const cutterSizesMm = useJob(job => job.shop.cutterSizesMm)
  const assumed = useJob(job => isUsual(job.shop, 'cutterSizesMm'))
  const units = useUnits()
  const edit = useEdit()
  return (
    <Panel
      title="Holes to enlarge"
      note="Where something passes through, the cut only has to open the circle that it needs. A seat is roughed out under size and bored true. A bung turned to the old hole holds the pilot drill where the metal is missing."
      action={<WorkingButton checkId="room.holes" of="the holes" />}
    >
      <SizesField
        label="Cutters at hand"
        sizesMm={cutterSizesMm}
        units={units}
        of={SHOP.of.cutterSizesMm.of}
        assumed={assumed}
        onSizes={sizes => edit(setShop('cutterSizesMm', sizes))}
      />
      <chakra.div mt="3">
        <RowsTable {...holes} units={units} addLabel="Another hole" />
      </chakra.div>
      {holes.rows.map((hole, index) => (
        <chakra.div key={hole.id} mt="3" pt="3" borderTopWidth="1px" data-hole={index}>
          {isFilled(hole, HOLE_NEEDS) ? (
            <Judged hole={hole} cutterSizesMm={cutterSizesMm} />
          ) : (
            <chakra.p color="quiet">
              <strong>{hole.label}</strong>: still to enter, {gapWords(hole, HOLE_NEEDS, HOLES.of)}.
            </chakra.p>
          )}
        </chakra.div>
      ))}
    </Panel>
  )
}

/** A hole that is measured: drawn, with what is to be done, and the bung where one guides the pilot. */
function Judged({ hole, cutterSizesMm }: { hole: MeasuredHole; cutterSizesMm: readonly number[] }) {
  const units = useUnits()
  const result = holeEnlarge(holeInputs(hole, cutterSizesMm))
  const { finishedDiameterMm, verdict, guide } = result
  const bung = guide === 'bung' && verdict !== 'enough'
  return (
    <chakra.div
      display="grid"
      gap="3"
      alignItems="center"
      gridTemplateColumns={{ base: '1fr', md: '180px minmax(0, 1fr)' }}
    >
      <BungDrawing
        label={`${hole.label}: old hole, new hole and bung, to scale`}
        oldMm={hole.existingDiameterMm}
        newMm={finishedDiameterMm}
        offsetMm={hole.centreOffsetMm}
        edgeMm={hole.edgeDistanceMm}
      />
      <div>
        <chakra.p display="flex" gap="3" alignItems="center" fontWeight={700}>
          {hole.label} <StateMark state={HOLE_STATES[verdict]} />
        </chakra.p>
        <p>{holeWords(hole, result, (value, quantity, decimals) => say(value, quantity, units, decimals))}</p>
        {verdict !== 'enough' && <Note>{guideWords({ units }, hole, guide)}.</Note>}
      </div>
      {bung && hole.depthMm !== null && (
        <chakra.details gridColumn="1 / -1">
          <chakra.summary cursor="pointer" color="lamp" fontWeight={700} minH="44px" py="2.5">
            Drawing of the bung for {hole.label.toLowerCase()}, to turn it by
          </chakra.summary>
          <DrawingSheet
            drawing={bungDrawing(`Bung for ${hole.label}`, hole, hole.depthMm, units)}
            solid={bungSolid(`Bung for ${hole.label}`, hole, hole.depthMm)}
          />
        </chakra.details>
      )}
    </chakra.div>
  )
}
