import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { OWN_BAGGED, SLIDE, type Slide } from '@/core/sheets/shared/steps/model'
import { bagsOf, missingOf, uncounted } from '@/core/sheets/teardown/bags'
import { setSlide } from '@/core/sheets/teardown/edits'
import { Fold } from '@/ui/Fold'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { AtTheMachine, LeftLoose } from '../../job/build/AtTheMachine'
import { InHand } from '../../job/build/InHand'
import { StepList } from '../../job/build/StepList'
import { useBuild } from '../../job/build/useBuild'
import { useEdit, useUnits, whole } from '../../job/JobContext'
import { NextElsewhere } from '../../job/NextElsewhere'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useRows } from '../../job/useRows'
import { BagLabels } from './BagLabels'
import { Bags } from './Bags'

const ownOf = (axis: Axis) => axis.ownBagged
const NONE = 'none'

/** How the axis is taken apart, step by step, and what goes into which bag. */
export function TeardownPanel() {
  const build = useBuild()
  const axis = useAxis(whole)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const units = useUnits()
  const own = useRows(OWN_BAGGED, ownOf)
  const steps = build.steps.filter(({ part }) => part === 'apart')
  const done = steps.filter(({ id }) => axis.ticks[id]).length
  // Here only what belongs to taking apart is shown large; the rest stands under Steps of the build.
  const shown = build.shown?.part === 'apart' ? build.shown : null
  const missing = missingOf(axis)
  const open = uncounted(axis)
  return (
    <>
      <Panel title={`Take apart: ${done} of ${steps.length} done`}>
        <LeftLoose />
        <chakra.div mb="3" maxW="320px">
          <SelectField<Slide | typeof NONE>
            label="What the axis moves"
            value={axis.slide ?? NONE}
            options={[
              { value: NONE, label: 'not said yet' },
              ...SLIDE.of.map(value => ({ value, label: SLIDE.words?.[value] ?? value })),
            ]}
            onChange={next => edit(setSlide(axisNow(), next === NONE ? null : next))}
          />
        </chakra.div>
        {axis.slide === null && (
          <chakra.p mb="2" color="close" fontWeight={700}>
            Say what it moves: how it comes apart and what goes into which bag follow from that.
          </chakra.p>
        )}
        {shown && <NextElsewhere />}
        {shown ? (
          <InHand build={build} />
        ) : (
          <chakra.p fontWeight={700}>
            {done === steps.length ? 'It is apart.' : 'Its next step is another one.'} What comes next stands
            under Steps of the build.
          </chakra.p>
        )}
        <AtTheMachine />
        <chakra.div mt="3">
          <StepList build={build} steps={steps} />
        </chakra.div>
      </Panel>
      <Panel
        title="Bags"
        note="Count what goes in. The step that puts it back asks for it by its bag, and what is found then is counted again."
      >
        {missing.length > 0 && (
          <chakra.p color="fails" fontWeight={700} mb="2">
            {missing.join('; ')}.
          </chakra.p>
        )}
        {open.length > 0 && (
          <chakra.p color="close" mb="2">
            Taken out and not counted again: {open.join('; ')}.
          </chakra.p>
        )}
        <Bags bags={bagsOf(axis)} />
        <chakra.div mt="2">
          <Fold name="What the plan does not know of">
            <RowsTable {...own} units={units} addLabel="Something else in a bag" />
          </Fold>
        </chakra.div>
        <BagLabels />
      </Panel>
    </>
  )
}
