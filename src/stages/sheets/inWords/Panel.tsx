import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { driveEur, driveHeightMm } from '@/core/machine/drive/price'
import { swing } from '@/core/machine/drive/stiffness'
import { driveSummary } from '@/core/sheets/inWords/driveSummary'
import { say } from '@/core/units/print'
import { Panel } from '@/ui/Panel'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** The drive in a few plain sentences, and what it comes to. */
export function InWordsPanel() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const said = driveSummary(axis, context.findings, units)
  const sums = attempt(() => ({
    eur: driveEur(context),
    heightMm: driveHeightMm(context),
    hz: swing(context).frequencyHz,
  }))
  return (
    <Panel title="In plain words">
      <chakra.ul display="grid" gap="1" maxW="78ch">
        {said.map(sentence => (
          <li key={sentence}>{sentence}</li>
        ))}
      </chakra.ul>
      {sums.value && (
        <chakra.p color="quiet" fontSize="14px" mt="2">
          The drive costs €{Math.round(sums.value.eur)}, takes {say(sums.value.heightMm, 'length', units)}{' '}
          across under the slide, and swings at {say(sums.value.hz, 'frequency', units)} where it is softest.
        </chakra.p>
      )}
    </Panel>
  )
}
