import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { paperOf } from '@/core/sheets/paper'
import { knownSteps } from '@/core/sheets/shared/steps/procedure'
import { SUB_ASSEMBLIES } from '@/core/sheets/shared/steps/subAssemblies'
import { buildSheet, partsWithSteps, type SheetFor } from '@/core/sheets/steps/workSheet'
import { SelectField } from '@/ui/fields/SelectField'
import { useJob, whole } from '../job/JobContext'
import { useAskedFor } from '../job/place'
import { useEvaluation } from '../job/useEvaluation'
import { PaperBlocks, PaperScreen } from './paper'

/** What goes to the machine for an evening, or for one sub-assembly: what to bring, and each step with its screws and its caution. */
export function EveningScreen({ onBack }: { onBack: () => void }) {
  const context = useEvaluation()
  const job = useJob(whole)
  const steps = knownSteps(context)
  const parts = partsWithSteps(steps)
  const asked = useAskedFor()
  const [chosen, choose] = useState<SheetFor | null>(null)
  const what = chosen ?? parts.find(part => part === asked) ?? 'evening'
  const ofMoves = what === 'moves' || what === 'wiring'
  return (
    <PaperScreen
      title={`${what === 'evening' ? 'The next evening' : SUB_ASSEMBLIES[what].title}: ${job.name}, axis ${context.axis.name}`}
      backLabel="Back to the build"
      printLabel="Print the sheet"
      onBack={onBack}
    >
      <chakra.div data-frame maxW="300px" mb="2">
        <SelectField<SheetFor>
          label="Sheet for"
          value={what}
          options={[
            { value: 'evening', label: 'the next evening' },
            ...parts.map(value => ({ value, label: SUB_ASSEMBLIES[value].title })),
          ]}
          onChange={choose}
        />
      </chakra.div>
      <PaperBlocks
        blocks={[...buildSheet(context, job.orders, what), ...(ofMoves ? paperOf(context, 'build') : [])]}
      />
      <chakra.p mt="2" fontSize="11px">
        Isolate the machine before hands go in. Guards, lifting and electrical work follow local codes and are
        for trained people.
      </chakra.p>
    </PaperScreen>
  )
}
