import { chakra } from '@chakra-ui/react'
import { COUNTERBALANCE } from '@/core/document/axis'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'
import { useUnits } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useChange } from '../../job/useRows'

/** What moves, what holds it up, and what rubs. */
export function LoadsPanel() {
  const mayFall = useAxis(axis => axis.dimensions.inclineDeg.value !== 0)
  return (
    <>
      <Panel title="Mass and friction">
        <DimensionFields group="load" />
      </Panel>
      {mayFall && <Counterbalance />}
    </>
  )
}

/** What takes weight off an axis that is not level. */
function Counterbalance() {
  const values = useAxis(axis => axis.counterbalance)
  const units = useUnits()
  const change = useChange()
  const { kind, toFit } = COUNTERBALANCE.of
  return (
    <Panel title="What takes weight off it">
      <chakra.div display="grid" gap="3" maxW="520px">
        <FieldInput
          field={kind}
          value={values.kind}
          units={units}
          onValue={next =>
            change(kind.label, axis => {
              Object.assign(axis.counterbalance, { kind: next })
            })
          }
        />
        <FieldInput
          field={toFit}
          value={values.toFit}
          units={units}
          onValue={next =>
            change(toFit.label, axis => {
              Object.assign(axis.counterbalance, { toFit: next })
            })
          }
        />
        <Note>
          Its force stands above. What is to be fitted gets its order line and its steps, and is counted on
          only once its force is read. A gas spring cannot be set: it is exchanged.
        </Note>
      </chakra.div>
    </Panel>
  )
}
