import { chakra } from '@chakra-ui/react'
import type { BuildSchools } from '@/core/sheets/shared/steps/model'
import { SCHOOLS, type School, schoolField, setBuildSchool } from '@/core/sheets/shared/steps/schools'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { useEdit } from '../JobContext'
import { useAxis, useAxisNow } from '../useAxis'

/** Where the trade goes about it in two ways: the one that is taken, with its reason, what it costs and what it risks. */
export function Schools({ keys }: { keys: readonly (keyof BuildSchools)[] }) {
  const schools = useAxis(axis => axis.buildSchools)
  const axisNow = useAxisNow()
  const edit = useEdit()
  // A free end has no block to be set in turn.
  const isFarFree = useAxis(axis => axis.ends === 'fixed-free')
  return (
    <chakra.div
      display="grid"
      gap="3"
      pb="2"
      gridTemplateColumns={{ base: '1fr', lg: 'repeat(2, minmax(0, 1fr))' }}
    >
      {keys
        .filter(key => key !== 'ends' || !isFarFree)
        .map(key => {
          const { label, of, words } = schoolField(key)
          const { why, rounds, risk } = (SCHOOLS[key] as Record<string, School>)[schools[key]] as School
          return (
            <div key={key}>
              <SelectField<string>
                label={label}
                value={schools[key]}
                options={of.map(one => ({
                  value: one,
                  label: (words as Record<string, string> | undefined)?.[one] ?? one,
                }))}
                onChange={next =>
                  edit(setBuildSchool(axisNow(), key, next as BuildSchools[typeof key], label))
                }
              />
              <Note mt="1">
                {why} {rounds && `Costs ${rounds}. `}Risk: {risk}.
              </Note>
            </div>
          )
        })}
    </chakra.div>
  )
}
