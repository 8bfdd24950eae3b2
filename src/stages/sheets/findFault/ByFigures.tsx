import { chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Diagnosis } from '@/core/diagnose/diagnosis'
import { type Fit, type FitRow, fitsOf } from '@/core/diagnose/twin'
import { FAULT_WORDS } from '@/core/sheets/findFault/words'
import { say } from '@/core/units/print'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useUnits } from '../../job/JobContext'
import type { TwinRead } from './useTwin'

/** So many of the likeliest are held against the readings, and a sound axis after them. */
const SHOWN = 3

/** What was measured beside what this very axis would read with the likeliest faults, and with none. */
export function ByFigures({
  found: { suspects },
  read: { twin, isKnown },
}: {
  found: Diagnosis
  read: TwinRead
}) {
  const fits = useMemo(
    () => (twin ? fitsOf(twin, [...suspects.slice(0, SHOWN).map(({ faultId }) => faultId), null]) : []),
    [twin, suspects],
  )
  if (isKnown && !twin) return null
  return (
    <Panel
      title="By the figures of this axis"
      note="A virtual axis made from this job is read with each fault in many sizes. A bar is what was measured, the mark what it would be: where they stand together, the fault goes with it."
    >
      {isKnown ? (
        <chakra.div display="grid" gap="4">
          {fits.filter(fitsAll).length > 1 && (
            <Stated>
              These figures do not tell those apart that go with all of them: the next check does.
            </Stated>
          )}
          {fits.map(fit => (
            <OneFit key={fit.faultId ?? 'sound'} fit={fit} soundUm={twin?.sound.reads.reversal} />
          ))}
        </chakra.div>
      ) : (
        <Note aria-busy="true">It is read …</Note>
      )}
    </Panel>
  )
}

const fitsAll = ({ rows }: Fit) => rows.every(({ isOff }) => !isOff)

/** One fault: how large it would be, how well it goes with each figure, and what it would read once mended. */
function OneFit({ fit: { faultId, size, rows }, soundUm }: { fit: Fit; soundUm?: number }) {
  const units = useUnits()
  const off = rows.filter(({ isOff }) => isOff)
  // Bars of one quantity are on one scale.
  const mostOf = (of: FitRow['quantity']) =>
    Math.max(
      ...rows.flatMap(({ quantity, value, would }) =>
        quantity === of ? [Math.abs(value), Math.abs(would)] : [],
      ),
      Number.MIN_VALUE,
    )
  const name = faultId ? FAULT_WORDS[faultId].name : 'Nothing is wrong'
  return (
    <chakra.section aria-label={name} data-fit={faultId ?? 'sound'}>
      <chakra.h3 fontSize="15px" fontWeight={700}>
        {name}
      </chakra.h3>
      <Stated data-fits={off.length === 0}>
        {off.length === 0
          ? 'Goes with all that was measured.'
          : `Does not go with ${off.length} of ${rows.length}: ${off.map(({ label }) => label.toLowerCase()).join('; ')}.`}
        {size &&
          ` ${size.label}: ${say(size.low, size.quantity, units)} to ${say(size.high, size.quantity, units)}.`}
        {faultId &&
          soundUm !== undefined &&
          off.length === 0 &&
          ` Mended, a reversal would lose about ${say(soundUm, 'smallLength', units)}.`}
      </Stated>
      <chakra.div mt="1" display="grid" gap="1">
        {rows.map(row => (
          <Bar key={row.id} row={row} most={mostOf(row.quantity)} />
        ))}
      </chakra.div>
    </chakra.section>
  )
}

/** One figure: a bar for what was measured, a mark for what it would be, and both in figures. */
function Bar({
  row: { label, quantity, value, standard, would, isOff },
  most,
}: {
  row: FitRow
  most: number
}) {
  const units = useUnits()
  const said = (one: number) => say(one, quantity, units)
  const along = (one: number) => `${Math.min(100, (100 * Math.abs(one)) / most)}%`
  return (
    <Stated
      as="div"
      display="grid"
      gap="2"
      alignItems="center"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 210px) minmax(80px, 1fr) minmax(0, 284px)' }}
    >
      <span>{label}</span>
      <chakra.div position="relative" h="12px" bg="well" borderRadius="3px" aria-hidden>
        <chakra.div
          h="12px"
          borderRadius="3px"
          bg={isOff ? 'fails' : 'edge'}
          style={{ width: along(value) }}
        />
        <chakra.div
          position="absolute"
          top="-3px"
          h="18px"
          w="3px"
          ml="-1.5px"
          bg="lamp"
          style={{ left: along(would) }}
        />
      </chakra.div>
      <chakra.span fontFamily="mono" fontSize="13px">
        <Whole>
          {said(value)} ± {said(2 * standard)},
        </Whole>{' '}
        <Whole>would be {said(would)}</Whole>
      </chakra.span>
    </Stated>
  )
}

/** A figure with its unit, on one line. */
const Whole = chakra('span', { base: { whiteSpace: 'nowrap' } })
