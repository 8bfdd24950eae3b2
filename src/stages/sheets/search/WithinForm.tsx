import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { hasBelt } from '@/core/document/axis'
import { onAxis } from '@/core/document/edits'
import type { Catalogue } from '@/core/document/parts/types'
import { givenThings } from '@/core/search/within'
import { SEARCH_WITHIN, type SearchWithin } from '@/core/sheets/search/model'
import { Columns } from '@/ui/Columns'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note, Stated } from '@/ui/Note'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxisNow, useSettledAxis } from '../../job/useAxis'
import { useWholeCatalogue } from '../../job/useEvaluation'

type Key = keyof SearchWithin

/** What each tick keeps, by name; none where nothing is chosen to keep. */
const KEEPS: readonly { key: Key; of: (axis: Axis, catalogue: Catalogue) => string | undefined }[] = [
  { key: 'keepScrew', of: ({ parts }, { screw }) => screw.get(parts.screw ?? '')?.name },
  { key: 'keepNut', of: ({ parts }, { screw }) => screw.get(parts.screw ?? '')?.name },
  { key: 'keepEnds', of: ({ ends }) => ends },
  { key: 'keepBearing', of: ({ parts }, { bearing }) => bearing.get(parts.bearing ?? '')?.name },
  {
    key: 'keepLink',
    of: ({ parts, drive }, { coupler, belt }) =>
      (hasBelt(drive) ? belt.get(parts.belt ?? '') : coupler.get(parts.coupler ?? ''))?.name,
  },
  { key: 'keepMotor', of: ({ parts }, { motor }) => motor.get(parts.motor ?? '')?.name },
]
const FROM = ['onlyHere', 'onlyOwn'] as const
const MOST = ['transmission', 'mostPriceEur', 'mostHeightMm', 'mostMassKg', 'mostDays'] as const

/** What a search keeps to: parts that stay, parts that are there, and what it may cost. */
export function WithinForm() {
  const axis = useSettledAxis()
  const axisNow = useAxisNow()
  const units = useUnits()
  const edit = useEdit()
  const catalogue = useWholeCatalogue()
  const given = axis.searchWithin
  const put = <K extends Key>(key: K, value: SearchWithin[K], mergeKey?: string) =>
    edit(
      onAxis(
        axisNow(),
        SEARCH_WITHIN.of[key].label,
        draft => {
          draft.searchWithin[key] = value
        },
        { mergeKey },
      ),
    )
  const field = (key: Key, label: string = SEARCH_WITHIN.of[key].label, disabled = false) => (
    <FieldInput
      key={key}
      field={SEARCH_WITHIN.of[key]}
      label={label}
      value={given[key]}
      units={units}
      disabled={disabled}
      onValue={(value, mergeKey) => put(key, value, mergeKey)}
    />
  )
  const said = givenThings(axis, catalogue, units).map(({ words }) => words)
  return (
    <chakra.section aria-label="Search within" mb="3">
      <Stated>
        {said.length > 0 ? (
          <>
            It keeps to: <strong>{said.join('; ')}</strong>.
          </>
        ) : (
          'It keeps to nothing: the whole list, whatever it costs.'
        )}
      </Stated>
      <Fold name="Keep to what is given">
        <chakra.div role="group" aria-label="Parts that stay" display="grid" mb="2">
          {KEEPS.map(({ key, of }) => {
            const name = of(axis, catalogue)
            const { label } = SEARCH_WITHIN.of[key]
            return field(key, `${label}: ${name ?? 'none is chosen yet'}`, !name && given[key] !== true)
          })}
        </chakra.div>
        <chakra.div role="group" aria-label="Parts that there are" display="grid" mb="2">
          {FROM.map(key => field(key))}
        </chakra.div>
        <Columns leastPx={190}>{MOST.map(key => field(key))}</Columns>
        <Note mt="2">
          What lies on the shelf is said with each part of our own, and with each line of the order list that
          has come. What nobody knows the weight or the delivery of is left out where a limit asks for it.
        </Note>
      </Fold>
    </chakra.section>
  )
}
