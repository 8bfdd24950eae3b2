import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { setIn } from '@/core/document/setIn'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { numberFields } from '@/core/field/field'
import { blockDrawing, blockSolid, blockToMake } from '@/core/sheets/bearingBlock/drawing'
import { BLOCK_BODY } from '@/core/sheets/bearingBlock/model'
import { nextHole } from '@/core/sheets/shared/cuts/holesAboutScrew'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { Note, Stated } from '@/ui/Note'
import { RowsTable } from '@/ui/table/RowsTable'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useJob, useUnits } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'

const FIGURES = numberFields(BLOCK_BODY.of)
const HOLES = BLOCK_BODY.of.boltHoles
const bodyOf = (axis: Axis) => axis.blockBody
const holesOf = (axis: Axis) => axis.blockBody.boltHoles
const worked = (evaluation: EvaluationContext) => ({
  block: attempt(() => blockToMake(evaluation), evaluation.units),
  evaluation,
})

/** A block of one's own: drawn for whoever bores it, and as a body. */
export function BlockToMake() {
  const units = useUnits()
  const body = useAxis(bodyOf)
  const change = useChange()
  const holes = useRows(HOLES, holesOf, nextHole)
  return (
    <chakra.details mt="4">
      <chakra.summary cursor="pointer" color="lamp" fontWeight={700} minH="44px" py="2.5">
        A block to make: its drawing and its body
      </chakra.summary>
      <Note mb="2">
        Its length and height come with the bearings, the depth of its bore from the stack above. Holes are
        given from the screw axis, seen from the cover.
      </Note>
      <FieldGrid
        fields={FIGURES}
        values={body}
        units={units}
        onValue={(key, value, mergeKey) =>
          change(FIGURES[key].label, axis => setIn(axis.blockBody, key, value), mergeKey)
        }
      />
      <RowsTable {...holes} units={units} least={0} addLabel="Another hole of the block" />
      <Drawn />
    </chakra.details>
  )
}

function Drawn() {
  const { block, evaluation } = useWorkedOut(worked)
  const jobName = useJob(job => job.name)
  if (!block.value) return <Stated mt="3">{block.ask}</Stated>
  const title = `${jobName}, ${evaluation.axis.name}: bearing block`
  return (
    <DrawingSheet
      drawing={blockDrawing(title, block.value, evaluation)}
      solid={blockSolid(title, block.value)}
    />
  )
}
