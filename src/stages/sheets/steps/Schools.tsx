import { chakra } from '@chakra-ui/react'
import type { BuildSchools } from '@/core/machine/build/model'
import { setBuildSchool } from '@/core/sheets/steps/edits'
import { SCHOOL_KEYS, SCHOOLS, schoolField } from '@/core/sheets/steps/schools'
import { SelectField } from '@/ui/fields/SelectField'
import { useEdit } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'

/** Where the trade goes about it in two ways: the one that is taken, with its reason. */
export function Schools() {
  const schools = useAxis(axis => axis.buildSchools)
  const axisNow = useAxisNow()
  const edit = useEdit()
  return (
    <chakra.div
      display="grid"
      gap="3"
      pb="2"
      gridTemplateColumns={{ base: '1fr', lg: 'repeat(2, minmax(0, 1fr))' }}
    >
      {SCHOOL_KEYS.map(key => {
        const { label, of, words } = schoolField(key)
        const reasons = SCHOOLS[key] as Record<string, string>
        return (
          <div key={key}>
            <SelectField<string>
              label={label}
              value={schools[key]}
              options={of.map(one => ({
                value: one,
                label: (words as Record<string, string> | undefined)?.[one] ?? one,
              }))}
              onChange={next => edit(setBuildSchool(axisNow(), key, next as BuildSchools[typeof key], label))}
            />
            <chakra.p fontSize="14px" color="quiet" mt="1">
              {reasons[schools[key]]}
            </chakra.p>
          </div>
        )
      })}
    </chakra.div>
  )
}
