import { chakra } from '@chakra-ui/react'
import { Controller, type ResolverResult, useForm } from 'react-hook-form'
import { OWN_LIMITS, type OwnLimits } from '@/core/document/axis'
import { limitWords, setLimits } from '@/core/evaluation/limitEdits'
import { limitsOf, limitsProblem } from '@/core/evaluation/limits'
import type { LimitKey } from '@/core/sheets'
import { LIMITS } from '@/core/sheets'
import { LIMIT_REASONS } from '@/core/sheets/reasons.generated'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { Stated } from '@/ui/Note'
import { useEdit, useUnits } from '../job/JobContext'
import { useAxis, useAxisNow } from '../job/useAxis'

const FORM = 'limits'

interface Props {
  limitKey: LimitKey
  title: string
  onClose: () => void
}

/** What a check is held to and why, to be changed with a reason. */
export function LimitDialog({ limitKey, title, onClose }: Props) {
  const own = useAxis(axis => axis.limits[limitKey])
  const axisNow = useAxisNow()
  const units = useUnits()
  const edit = useEdit()
  const facts = LIMITS[limitKey]
  const { holds, close } = limitsOf(axisNow().limits[facts.key], facts)
  const put = (limits: OwnLimits | null) => {
    edit(setLimits(axisNow(), facts, title, limits, units))
    onClose()
  }
  const { control, register, handleSubmit, formState, watch } = useForm<OwnLimits>({
    defaultValues: { holds, close, because: own?.because ?? '' },
    resolver: (typed): ResolverResult<OwnLimits> => {
      const because = typed.because.trim()
      if (because !== '' && !limitsProblem(facts, typed.holds, typed.close))
        return { values: { ...typed, because }, errors: {} }
      const message = 'Got nothing. Takes a reason, for whoever looks at this later.'
      return { values: {}, errors: because === '' ? { because: { type: 'required', message } } : {} }
    },
  })
  const typed = watch()
  const problem = limitsProblem(facts, typed.holds, typed.close)
  const submit = handleSubmit(limits => {
    if (!problem) put(limits)
  })
  const to = facts.sense === 'at-most' ? 'up to' : 'down to'
  const figure = (name: 'holds' | 'close', label: string) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <FieldInput
          field={{ ...OWN_LIMITS.of[name], quantity: facts.quantity }}
          label={label}
          value={field.value}
          units={units}
          onValue={field.onChange}
        />
      )}
    />
  )
  return (
    <Modal
      title={`What it is held to: ${title}`}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <>
          {own && <Button onClick={() => put(null)}>The usual limits again</Button>}
          <Button type="submit" form={FORM} variant="lamp">
            Hold it to this
          </Button>
        </>
      }
    >
      <chakra.form id={FORM} display="grid" gap="3" onSubmit={submit}>
        <p>
          <strong>{facts.of}.</strong> Usually it {limitWords(facts, facts, units)}.
        </p>
        <chakra.p color="quiet">{LIMIT_REASONS[limitKey]}</chakra.p>
        {figure('holds', `It holds ${to}`)}
        {figure('close', `It is close ${to}, and fails beyond`)}
        {problem && (
          <Stated role="alert" color="fails" fontWeight={700}>
            {problem.field === 'close' ? 'Where it fails' : 'Where it holds'}: got{' '}
            {say(typed[problem.field], facts.quantity, units)}, takes {problem.takes}.
          </Stated>
        )}
        <TextField
          label="Why? It stands beside the verdict, and in the log"
          maxLength={OWN_LIMITS.of.because.most}
          error={formState.errors.because?.message}
          {...register('because')}
        />
      </chakra.form>
    </Modal>
  )
}
