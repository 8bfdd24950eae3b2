import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/job'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { driveEur, driveHeightMm } from '@/core/machine/drive/price'
import { swing } from '@/core/machine/drive/stiffness'
import { judgement } from '@/core/sheets/inWords/driveSummary'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Panel } from '@/ui/Panel'
import { evaluationOf, useCatalogue } from '../bench'

/** The drive in a few plain sentences, and what it comes to. */
export function JudgementPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const catalogue = useCatalogue()
  const said = judgement(axis, evaluationOf(axis, catalogue, units).findings, units)
  const sums = known(() => {
    const t = new Trace(axis, catalogue)
    return { eur: driveEur(t), heightMm: driveHeightMm(t), hz: swing(t).frequencyHz }
  })
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
          across under the table, and swings at {say(sums.value.hz, 'frequency', units)} where it is softest.
        </chakra.p>
      )}
    </Panel>
  )
}
