import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { attempt } from '@/core/evaluation/attempt'
import { driveEur, driveHeightMm } from '@/core/machine/drive/price'
import { swing } from '@/core/machine/drive/stiffness'
import { movingPart } from '@/core/machine/movingPart'
import { driveSummary } from '@/core/sheets/inWords/driveSummary'
import { goalWords } from '@/core/sheets/inWords/goalWords'
import { money, say } from '@/core/units/print'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** What is asked of the axis and what its drive gives, in a few plain sentences. */
export function InWordsPanel() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const jobId = useJob(job => job.id)
  const asked = goalWords(axis, units)
  const said = driveSummary(axis, context.findings, units)
  const sums = attempt(() => ({
    eur: driveEur(context),
    heightMm: driveHeightMm(context),
    hz: swing(context).frequencyHz,
  }))
  return (
    <Panel
      title="In plain words"
      action={
        <PlaceButton place={{ jobId, axisId: axis.id, stage: 'size', sheet: 'search' }} variant="lamp">
          Search for a drive
        </PlaceButton>
      }
    >
      <Part title="What you ask of it">
        {asked.map(sentence => (
          <li key={sentence}>{sentence}</li>
        ))}
      </Part>
      <PlaceButton
        place={{ jobId, axisId: axis.id, stage: 'survey', sheet: 'goals' }}
        variant="quiet"
        ml="-3"
        mb="2"
      >
        Change what is asked
      </PlaceButton>
      <Part title="What the drive gives">
        {said.map(sentence => (
          <li key={sentence}>{sentence}</li>
        ))}
      </Part>
      {sums.value && (
        <Note mt="2">
          The drive costs {money(sums.value.eur)}, takes {say(sums.value.heightMm, 'length', units)} across
          under the {movingPart(axis)}, and swings at {say(sums.value.hz, 'frequency', units)} where it is
          softest.
        </Note>
      )}
    </Panel>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <chakra.h3 fontSize="15px" fontWeight={700} mb="1">
        {title}
      </chakra.h3>
      <chakra.ul display="grid" gap="1" maxW="78ch">
        {children}
      </chakra.ul>
    </>
  )
}
