import { chakra } from '@chakra-ui/react'
import { CAUSE_WORDS } from '@/core/sheets/drag/check'
import { CAUSES, type TightSpots } from '@/core/sheets/shared/rounds/tightSpots'
import { say } from '@/core/units/print'
import { Stated } from '@/ui/Note'
import { Figures } from '@/ui/Panel'
import { useUnits } from '../../job/JobContext'

const HALF_WORDS = {
  whole: '',
  'gib-slack': 'Gib slacked',
  'nut-off': 'Nut off the table',
  'coupler-off': 'Coupler off',
} as const

/** How much each cause takes where it is felt most, and how sure that is; what each half held that was taken off. */
export function CauseBars({ map }: { map: TightSpots }) {
  const units = useUnits()
  const torque = (nm: number) => say(nm, 'torque', units, 2)
  const most = Math.max(map.levelNm, ...map.felt.map(({ torqueNm }) => Math.abs(torqueNm)))
  const felt = map.felt.toSorted((a, b) => CAUSES.indexOf(a.cause) - CAUSES.indexOf(b.cause))
  return (
    <Stated as="div" display="grid" gap="1">
      <strong>What takes how much</strong>
      <chakra.ul display="grid" gap="1" data-causes>
        {felt.map(({ cause, torqueNm, standardErrorNm, counts }) => (
          <chakra.li
            key={cause}
            display="grid"
            gridTemplateColumns="minmax(108px, 2fr) minmax(40px, 2fr) auto"
            gap="2"
            alignItems="center"
            fontWeight={counts ? 700 : undefined}
            color={counts ? undefined : 'quiet'}
          >
            <span>{CAUSE_WORDS[cause]}</span>
            <chakra.span
              aria-hidden
              height="12px"
              borderRadius="3px"
              bg={cause === map.named ? 'fails' : counts ? 'close' : 'quiet'}
              style={{ width: `${Math.max(1, (100 * Math.abs(torqueNm)) / most)}%` }}
            />
            <Figures>
              {torque(torqueNm)} ± {torque(3 * standardErrorNm)}
            </Figures>
          </chakra.li>
        ))}
      </chakra.ul>
      {map.held.length > 0 && (
        <chakra.ul>
          {map.held.map(({ half, droppedNm }) => (
            <li key={half}>
              {HALF_WORDS[half]}: {torque(Math.abs(droppedNm))} {droppedNm >= 0 ? 'less' : 'more'}
            </li>
          ))}
        </chakra.ul>
      )}
    </Stated>
  )
}
