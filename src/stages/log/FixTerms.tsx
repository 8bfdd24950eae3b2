import { chakra } from '@chakra-ui/react'
import type { FieldErrors, UseFormRegister } from 'react-hook-form'
import { boolean, object, string } from 'yup'
import { FIX_TERMS } from '@/core/document/fixes'
import type { Terms } from '@/core/document/logEdits'
import { isWithin } from '@/core/field/isWithin'
import { parseQuantity } from '@/core/units/parse'
import { TextField } from '@/ui/fields/TextField'

const HOURS = FIX_TERMS.of.untilHours
/** @returns null where nothing is typed, not a number where it cannot be read */
function hoursIn(text: string): number | null {
  if (text.trim() === '') return null
  const read = parseQuantity(text, HOURS.quantity, 'mm')
  return read.ok ? read.value : Number.NaN
}

/** What a form asks of a temporary fix. */
export const termsSchema = object({
  untilDay: string().defined(),
  untilHours: string()
    .defined()
    .test('hours', (text, context) => {
      return isWithin(HOURS, hoursIn(text))
        ? true
        : context.createError({ message: `Got ${text}, takes ${HOURS.min} to ${HOURS.max} h, or nothing.` })
    }),
  isSafety: boolean().required(),
})
/** The same as it is typed. */
export type TypedTerms = { untilDay: string; untilHours: string; isSafety: boolean }

export const typedTerms = ({ untilDay, untilHours, isSafety }: Terms): TypedTerms => ({
  untilDay: untilDay ?? '',
  untilHours: untilHours === null ? '' : String(untilHours),
  isSafety,
})
export const termsTyped = ({ untilDay, untilHours, isSafety }: TypedTerms): Terms => ({
  untilDay: untilDay || null,
  untilHours: hoursIn(untilHours),
  isSafety,
})

/** When a temporary fix asks to be mended, and whether it concerns safety. */
export function FixTermsFields<T extends TypedTerms>({
  register,
  errors,
}: {
  register: UseFormRegister<T>
  errors: FieldErrors<TypedTerms>
}) {
  const named = register as unknown as UseFormRegister<TypedTerms>
  return (
    <>
      <chakra.div display="flex" gap="3" flexWrap="wrap" alignItems="flex-start">
        <chakra.div flex="1 1 200px">
          <TextField type="date" label={FIX_TERMS.of.untilDay.label} {...named('untilDay')} />
        </chakra.div>
        <chakra.div flex="1 1 260px">
          <TextField
            label={HOURS.label}
            unit={HOURS.unit}
            inputMode="decimal"
            error={errors.untilHours?.message}
            {...named('untilHours')}
          />
        </chakra.div>
      </chakra.div>
      <chakra.label display="inline-flex" gap="2" alignItems="center" minH="44px">
        <chakra.input
          type="checkbox"
          {...named('isSafety')}
          width="20px"
          height="20px"
          flexShrink={0}
          accentColor="var(--dusk-colors-lamp-fill)"
        />
        It concerns safety: nobody takes the machine over until it is mended
      </chakra.label>
    </>
  )
}
