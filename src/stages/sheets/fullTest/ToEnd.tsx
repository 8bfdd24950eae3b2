import { chakra } from '@chakra-ui/react'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { finishFullTest, removeFullTest } from '@/core/sheets/fullTest/edits'
import { Button } from '@/ui/controls'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'
import { evaluationOf, useCatalogue } from '../../job/useEvaluation'

/** Closes the test, which says in the log what it came to, or deletes it. */
export function ToEnd() {
  const axisNow = useAxisNow()
  const edit = useEdit()
  const catalogue = useCatalogue()
  const units = useUnits()
  const last = () => axisNow().fullTests.at(-1)
  const close = () => {
    const test = last()
    if (!test) return
    const context = evaluationOf(axisNow(), catalogue, units)
    const said = (['prove.accuracy', 'prove.fullReversal'] as const)
      .flatMap(id => context.finding(id) ?? [])
      .map(({ state, sentence }) => `${STATE_WORDS[state]}: ${sentence}`)
    edit(
      finishFullTest(
        axisNow(),
        test.id,
        new Date().toISOString(),
        `Full test “${test.label}”. ${said.join(' ')}`,
      ),
    )
  }
  return (
    <chakra.div display="flex" gap="2" data-hand>
      <Button variant="danger" onClick={() => edit(removeFullTest(axisNow(), last()?.id ?? ''))}>
        Delete the test
      </Button>
      <Button variant="lamp" onClick={close}>
        Close the test
      </Button>
    </chakra.div>
  )
}
