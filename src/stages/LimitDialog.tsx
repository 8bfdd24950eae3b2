import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { limitWords, setLimits } from '@/core/evaluation/limitEdits'
import {
  LEAST_LIMIT,
  type LimitKey,
  limitFacts,
  limitsOf,
  limitsProblem,
  MOST_LIMIT,
} from '@/core/evaluation/limits'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { useAxis, useAxisNow, useEdit, useUnits } from './bench'

const FORM = 'limits'
const LONGEST_REASON = 300

/** What a check is held to and why, to be changed with a reason. */
export function LimitDialog({
  limitKey,
  title,
  onClose,
}: {
  limitKey: LimitKey
  title: string
  onClose: () => void
}) {
  const own = useAxis(axis => axis.limits[limitKey])
  const axisNow = useAxisNow()
  const units = useUnits()
  const edit = useEdit()
  const facts = limitFacts(limitKey)
  const now = limitsOf(axisNow(), limitKey)
  const [holds, setHolds] = useState(now.holds)
  const [close, setClose] = useState(now.close)
  const [because, setBecause] = useState(own?.because ?? '')
  const [asked, setAsked] = useState(false)
  const problem = limitsProblem(limitKey, holds, close)
  const lacksReason = because.trim() === ''
  const to = facts.sense === 'at-most' ? 'up to' : 'down to'
  const put = (limits: Parameters<typeof setLimits>[3]) => {
    edit(setLimits(axisNow(), limitKey, title, limits, units))
    onClose()
  }
  const field = { kind: facts.quantity, units, min: LEAST_LIMIT, max: MOST_LIMIT }
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
      <chakra.form
        id={FORM}
        display="grid"
        gap="3"
        onSubmit={event => {
          event.preventDefault()
          setAsked(true)
          if (!problem && !lacksReason) put({ holds, close, because: because.trim() })
        }}
      >
        <p>
          <strong>{facts.of}.</strong> Usually it {limitWords(limitKey, facts, units)}.
        </p>
        <chakra.p color="quiet">{facts.why}</chakra.p>
        <QuantityField
          {...field}
          label={`It holds ${to}`}
          value={holds}
          onValue={value => value !== null && setHolds(value)}
        />
        <QuantityField
          {...field}
          label={`It is close ${to}, and fails beyond`}
          value={close}
          onValue={value => value !== null && setClose(value)}
        />
        {problem && (
          <chakra.p role="alert" color="fails" fontWeight={700} fontSize="14px">
            {problem.field === 'close' ? 'Where it fails' : 'Where it holds'}: got{' '}
            {say(problem.field === 'close' ? close : holds, facts.quantity, units)}, takes {problem.takes}.
          </chakra.p>
        )}
        <TextField
          label="Why? It stands beside the verdict, and in the log"
          value={because}
          maxLength={LONGEST_REASON}
          error={
            asked && lacksReason ? 'Got nothing. Takes a reason, for whoever looks at this later.' : undefined
          }
          onChange={event => setBecause(event.currentTarget.value)}
        />
      </chakra.form>
    </Modal>
  )
}
