import { chakra } from '@chakra-ui/react'
import { newId } from '@/core/document/id'
import { attempt } from '@/core/evaluation/attempt'
import { jumpToTakeOut } from '@/core/sheets/fullTest/check'
import { wayWord } from '@/core/sheets/fullTest/course'
import { changeFullTest, putJumpBack, takeOutJump } from '@/core/sheets/fullTest/edits'
import { fullFigures } from '@/core/sheets/fullTest/figures'
import { FULL_TESTS, type FullTest } from '@/core/sheets/fullTest/model'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note } from '@/ui/Note'
import { useEdit } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** Which way the gauge reads more, and a jump that is taken out of what was read after it. */
export function Course() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const edit = useEdit()
  const axisNow = useAxisNow()
  const test = axis.fullTests.at(-1) as FullTest
  const jump = jumpToTakeOut(context)
  const sense = attempt(() => fullFigures(context, test, test.gaugeStepUm ?? 0)).value?.sense.is
  const stepUm = test.gaugeStepUm ?? 0
  // The gauge reads in its steps: so does what is taken out.
  const byUm = jump && stepUm > 0 ? Math.round(jump.byUm / stepUm) * stepUm : (jump?.byUm ?? 0)
  const small = (um: number) => say(Math.abs(um), 'smallLength', units)
  const placeOf = ({ run, way, targetMm }: Pick<FullTest['shifts'][number], 'run' | 'way' | 'targetMm'>) =>
    `run ${run + 1} going ${wayWord(way)} at ${say(targetMm, 'length', units, 2)}`
  const counts = (um: number) => `${small(um)} ${um > 0 ? 'less' : 'more'}`
  return (
    <chakra.div mt="3" display="grid" gap="2">
      {sense !== 'known' && (
        <chakra.div maxW="340px">
          <FieldInput
            field={FULL_TESTS.of.gaugeMore}
            value={test.gaugeMore}
            units={units}
            onValue={(gaugeMore, mergeKey) =>
              edit(changeFullTest(axisNow(), test.id, { gaugeMore } as Partial<FullTest>, mergeKey))
            }
          />
        </chakra.div>
      )}
      {jump?.from && (
        <div data-jump>
          <Button
            variant="outline"
            onClick={() => {
              const { run, way, targetMm } = jump.from as NonNullable<typeof jump.from>
              const shift = { id: newId(), run, way, targetMm, byUm }
              edit(
                takeOutJump(
                  axisNow(),
                  test.id,
                  shift,
                  `Full test “${test.label}”: from ${placeOf(shift)} on, ${jump.after} readings count ${counts(byUm)}.`,
                ),
              )
            }}
          >
            Take the jump of {small(byUm)} out of the {jump.after} readings from {placeOf(jump.from)} on
          </Button>
          <Note mt="1">They stay as they were typed, and both halves keep what they lose at a reversal.</Note>
        </div>
      )}
      {test.shifts.map(shift => (
        <chakra.div key={shift.id} display="flex" gap="2" flexWrap="wrap" alignItems="center" data-shift>
          <span>
            From {placeOf(shift)} on, readings count {counts(shift.byUm)} than they were read.
          </span>
          <Button
            variant="quiet"
            onClick={() =>
              edit(
                putJumpBack(
                  axisNow(),
                  test.id,
                  shift.id,
                  `Full test “${test.label}”: from ${placeOf(shift)} on, readings count as they were read.`,
                ),
              )
            }
          >
            Count them as they were read
          </Button>
        </chakra.div>
      ))}
    </chakra.div>
  )
}
