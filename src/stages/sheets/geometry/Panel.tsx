import { AXIS_FIELDS } from '@/core/document/axis'
import { setHigherEnd } from '@/core/document/edits'
import type { AxisEnd } from '@/core/document/kinds'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'
import { useEdit } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'

const { higherEnd: FIELD } = AXIS_FIELDS
const ENDS = [
  { value: '', label: 'not noted yet' },
  ...FIELD.of.map(value => ({ value, label: FIELD.words?.[value] ?? value })),
]

/** Travel, span and bracket as they are measured, and which end of a leaning axis is the higher. */
export function GeometryPanel() {
  const leans = useAxis(axis => (axis.dimensions.inclineDeg.value ?? 0) > 0)
  const higherEnd = useAxis(axis => axis.higherEnd)
  const axisNow = useAxisNow()
  const edit = useEdit()
  return (
    <Panel title="Geometry">
      <DimensionFields group="geometry" />
      {leans && (
        <SelectField
          label={FIELD.label}
          value={higherEnd ?? ''}
          options={ENDS}
          onChange={value => edit(setHigherEnd(axisNow(), value === '' ? null : (value as AxisEnd)))}
        />
      )}
    </Panel>
  )
}
