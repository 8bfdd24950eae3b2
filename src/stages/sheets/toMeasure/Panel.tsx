import { chakra } from '@chakra-ui/react'
import { DIMENSIONS } from '@/core/document/dimensions'
import { stillToMeasure } from '@/core/machine/stillToMeasure'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { useSettledAxis } from '../../job/useAxis'

/** What is assumed, with how to measure it using shop tools. */
export function ToMeasurePanel() {
  const axis = useSettledAxis()
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
      note="Castings of one model differ. Until these are measured, verdicts rest on assumed values. How to measure each stands under its field."
    >
      <chakra.ul display="flex" flexWrap="wrap" gap="2">
        {open.map(key => (
          <li key={key}>
            <Button onClick={() => focusField(DIMENSIONS[key].label)}>{DIMENSIONS[key].label}</Button>
          </li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

/** Puts the cursor into the field of that label. */
function focusField(label: string) {
  const own = [...document.querySelectorAll('label')].find(element => element.textContent === label)
  document.getElementById(own?.htmlFor ?? '')?.focus()
}
