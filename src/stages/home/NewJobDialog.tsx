import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { MACHINE_KINDS, type MachineKind } from '@/core/document/kinds'
import { newJob } from '@/core/sheets/newJob'
import type { UnitSystem } from '@/core/units/quantity'
import { getDatabase } from '@/store/database'
import { createJob } from '@/store/jobs'
import { describeProblem, type Problem } from '@/store/problem'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'
import { Stated } from '@/ui/Note'

const KIND_WORDS: Record<MachineKind, string> = {
  mill: 'A mill: X table, Y saddle, Z head',
  lathe: 'A lathe: Z carriage, X cross slide',
  router: 'A router: X gantry, Y carriage, Z spindle',
}
const schema = object({
  name: string()
    .trim()
    .required('Got nothing. Takes a name, such as what is cast into the machine.')
    .max(80, 'Takes up to 80 characters.'),
  machineKind: string<MachineKind>().oneOf(MACHINE_KINDS).required(),
  units: string<UnitSystem>().oneOf(['mm', 'inch']).required(),
})

/** Starts a job with the axes that such a machine usually has. */
export function NewJobDialog({
  onClose,
  onCreated,
}: {
  onClose: () => void
  onCreated: (jobId: string) => void
}) {
  const [problem, setProblem] = useState<Problem | null>(null)
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(schema),
    defaultValues: { name: '', machineKind: 'mill' as MachineKind, units: 'mm' as UnitSystem },
  })
  const submit = handleSubmit(async ({ name, machineKind, units }) => {
    const job = newJob(name, machineKind, units, new Date().toISOString())
    try {
      await createJob(getDatabase(), job)
      onCreated(job.id)
    } catch (error) {
      setProblem(describeProblem(error))
    }
  })
  return (
    <Modal
      title="New job"
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button type="submit" form="new-job" variant="lamp">
          Start it
        </Button>
      }
    >
      <chakra.form id="new-job" onSubmit={submit} display="grid" gap="3">
        <TextField label="Name of the machine" error={formState.errors.name?.message} {...register('name')} />
        <chakra.fieldset>
          <Stated as="legend" fontWeight={700}>
            What it is
          </Stated>
          {MACHINE_KINDS.map(kind => (
            <Radio key={kind} value={kind} label={KIND_WORDS[kind]} {...register('machineKind')} />
          ))}
        </chakra.fieldset>
        <chakra.fieldset>
          <Stated as="legend" fontWeight={700}>
            Units to work in, switchable at any time
          </Stated>
          <Radio value="mm" label="millimetres" {...register('units')} />
          <Radio value="inch" label="inches and thousandths" {...register('units')} />
        </chakra.fieldset>
        {problem && <Notice title={problem.title}>{problem.advice}</Notice>}
      </chakra.form>
    </Modal>
  )
}

function Radio({ label, ...input }: { label: string } & React.ComponentProps<'input'>) {
  return (
    <chakra.label display="flex" gap="2" alignItems="center" minH={{ base: '44px', xl: '34px' }}>
      <chakra.input
        type="radio"
        width="20px"
        height="20px"
        accentColor="var(--dusk-colors-lamp-fill)"
        {...input}
      />
      {label}
    </chakra.label>
  )
}
