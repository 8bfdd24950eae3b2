import { chakra } from '@chakra-ui/react'
import type { Fields } from '@/core/field/field'
import { conditionsWords } from '@/core/sheets/shared/proofs/conditions'
import { Columns } from '@/ui/Columns'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { useUnits } from '../JobContext'

interface Props<T> {
  of: Fields
  test: T
  disabled: boolean
  onChange: (change: Partial<T>, mergeKey?: string) => void
}

/** How a test was taken, folded away under one line that says it: without it, nobody can take the same test again. */
export function TestConditions<T extends Parameters<typeof conditionsWords>[0]>({
  of,
  test,
  disabled,
  onChange,
}: Props<T>) {
  const units = useUnits()
  const said = conditionsWords(test, units)
  return (
    <chakra.div mb="3">
      <Fold name={said ? `How it is taken: ${said}` : 'How it is taken: nothing noted yet'}>
        <Columns leastPx={180} mt="2">
          {Object.entries(of).map(([key, field]) => (
            <FieldInput
              key={key}
              field={field}
              value={test[key as keyof T]}
              units={units}
              disabled={disabled}
              onValue={(value, mergeKey) => onChange({ [key]: value } as Partial<T>, mergeKey)}
            />
          ))}
        </Columns>
      </Fold>
    </chakra.div>
  )
}
