import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { Axis } from '@/core/document/axis'
import { setOrderStates } from '@/core/orders/orderEdits'
import { bagName, type Thing, thingsOf } from '@/core/sheets/shared/steps/bags'
import { partsFor } from '@/core/sheets/shared/steps/holds'
import { BAGGED } from '@/core/sheets/shared/steps/model'
import type { Step } from '@/core/sheets/shared/steps/step'
import { type StepScrews, screwsOf } from '@/core/sheets/shared/steps/stepScrews'
import { setBagged } from '@/core/sheets/teardown/edits'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { TighteningDrawing } from '@/ui/drawings/TighteningDrawing'
import { FieldInput } from '@/ui/fields/FieldInput'
import { useEdit, useJob, useJobContext, useUnits } from '../JobContext'
import { PlaceButton } from '../PlaceLink'
import type { Build } from './useBuild'

const Row = ({ head, children }: { head: string; children: ReactNode }) => (
  <chakra.div display="grid" gridTemplateColumns="64px minmax(0, 1fr)" gap="2" py="1" borderTopWidth="1px">
    <chakra.dt color="quiet">{head}</chakra.dt>
    <dd>{children}</dd>
  </chakra.div>
)

/** Parts with whether they are here, bags with their counts, screws with their torque, tools. */
export function Needs({ step, build }: { step: Step; build: Build }) {
  const { context } = build
  const { axis } = context
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const orders = useJob(job => job.orders)
  const parts = partsFor(step, context, orders)
  const edit = useEdit()
  const screws = screwsOf(step, axis)
  const things = thingsOf(axis).filter(({ id }) => step.takes?.includes(id))
  if (parts.length + screws.length + things.length + step.tools.length === 0) return null
  return (
    <chakra.dl mt="3" fontSize="15px">
      {parts.length > 0 && (
        <Row head="Parts">
          {parts.map(({ key, name, lacks }) => (
            <chakra.p key={key} display="flex" flexWrap="wrap" alignItems="center" columnGap="2">
              {name} {lacks && <chakra.b color="fails">{lacks}</chakra.b>}
              {lacks && (
                <Button
                  variant="outline"
                  aria-label={`It is here: ${name}`}
                  onClick={() => edit(setOrderStates([{ key, what: name, state: 'arrived' }]))}
                >
                  It is here
                </Button>
              )}
            </chakra.p>
          ))}
        </Row>
      )}
      {things.length > 0 && (
        <Row head="Bags">
          <chakra.div display="grid" gap="2">
            {things.map(thing => (
              <InBag key={thing.id} thing={thing} axis={axis} />
            ))}
          </chakra.div>
        </Row>
      )}
      {screws.length > 0 && (
        <Row head="Screws">
          <chakra.div display="grid" gap="3">
            {screws.map(one => (
              <Screws key={one.label} screws={one} step={step} />
            ))}
            {screws.some(({ judged }) => !judged) && (
              <PlaceButton
                variant="outline"
                justifySelf="start"
                place={{ jobId, axisId, stage: 'room', sheet: 'fasteners' }}
              >
                Say which joint it is, under Screws
              </PlaceButton>
            )}
          </chakra.div>
        </Row>
      )}
      {step.tools.length > 0 && <Row head="Tools">{step.tools.join(', ')}</Row>}
    </chakra.dl>
  )
}

/** A thing that the step takes out of its bag, with how many were found in it. */
function InBag({ thing, axis }: { thing: Thing; axis: Axis }) {
  const edit = useEdit()
  const units = useUnits()
  const counts = axis.bagged[thing.id]
  const count = counts?.count ?? null
  const found = counts?.foundCount ?? null
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="2" alignItems="center">
      <chakra.b fontFamily="mono">{bagName(axis, thing.bag)}</chakra.b>
      <span>
        {thing.what}: {count ?? 'not counted when it came off'}
      </span>
      {count !== null && (
        <chakra.span width="140px">
          <FieldInput
            field={BAGGED.of.of.foundCount}
            label={`Found again: ${thing.what}`}
            value={found}
            units={units}
            dense
            hideLabel
            onValue={(value, mergeKey) => edit(setBagged(axis, thing, { foundCount: value }, mergeKey))}
          />
        </chakra.span>
      )}
      {count !== null && found !== null && found < count && (
        <chakra.b color="fails">{count - found} missing</chakra.b>
      )}
    </chakra.div>
  )
}

/** The screws of one joint: how many of which, how tight now, and their order. */
function Screws({ screws, step }: { screws: StepScrews; step: Step }) {
  const units = useUnits()
  const { label, state, count, size, torqueNm, fullNm } = screws
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="4" alignItems="center">
      <div>
        <p>
          {label}:{' '}
          <chakra.b fontFamily="mono">
            {count !== null && `${count} × `}
            {size ?? 'size not known'}
          </chakra.b>
        </p>
        <p>
          {state}
          {torqueNm !== null && (
            <>
              , <chakra.b fontFamily="mono">{say(torqueNm, 'torque', units, 1)}</chakra.b>
              {fullNm !== null && torqueNm < fullNm && ` of ${say(fullNm, 'torque', units, 1)}`}
            </>
          )}
          {torqueNm === null && state !== 'loose' && ': torque not known'}
        </p>
      </div>
      {count !== null && torqueNm !== null && (
        <TighteningDrawing count={count} label={`${label}, ${step.title}`} />
      )}
    </chakra.div>
  )
}
