import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import type { DrivePoint } from '@/core/search/field'
import type { Handpicked } from '@/core/search/handful'
import type { DriveSlot } from '@/core/search/slots'
import { printFixed, say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { useWholeCatalogue } from '../../job/useEvaluation'
import { isTaken } from './driveColumns'
import { driveWords } from './driveWords'

interface Props {
  handful: readonly Handpicked[]
  axis: Axis
  units: UnitSystem
  onTake: (point: DrivePoint) => void
}

const SLOT_WORDS: Readonly<Record<DriveSlot, string>> = {
  screw: 'screw and nut',
  ends: 'how the ends are held',
  bearing: 'bearings',
  link: 'coupler or belt',
  motor: 'motor',
}

/** A few drives that differ in kind, each with what it is the best at, what it costs, and what it rests on. */
export function Handful({ handful, axis, units, onTake }: Props) {
  const noneHolds = handful.every(({ point }) => point.margin < 1)
  return (
    <>
      {noneHolds && (
        <chakra.p mb="2">
          None of them holds in everything: each is close in something. These are the nearest.
        </chakra.p>
      )}
      <chakra.ul
        aria-label="A handful of drives"
        listStyleType="none"
        display="grid"
        gap="3"
        gridTemplateColumns="minmax(0, 1fr)"
      >
        {handful.map(one => (
          <Card key={one.picks.join()} one={one} axis={axis} units={units} onTake={onTake} />
        ))}
      </chakra.ul>
    </>
  )
}

type CardProps = Omit<Props, 'handful'> & { one: Handpicked }

function Card({ one: { picks, point, rests, support, changes }, axis, units, onTake }: CardProps) {
  const catalogue = useWholeCatalogue()
  const taken = isTaken(axis, point)
  const words = driveWords(point, catalogue)
  const figures = [
    `€${Math.round(point.priceEur)}`,
    `${printFixed(point.margin, 2)} times what is wanted where it is tightest`,
    `loses ${say(point.lostMotionUm, 'smallLength', units)}`,
    `${say(point.heightMm, 'length', units, units === 'mm' ? 0 : 2)} high`,
    ...(point.massKg === null ? [] : [say(point.massKg, 'mass', units, 1)]),
    ...(point.days === null ? [] : [`here in ${point.days} days`]),
  ]
  return (
    <chakra.li
      data-picks={picks.join(', ')}
      borderWidth="1px"
      borderColor={taken ? 'lamp' : 'line'}
      borderLeftWidth="4px"
      px="3"
      py="2"
    >
      <chakra.div display="flex" gap="3" justifyContent="space-between" alignItems="start">
        <chakra.div>
          <chakra.h3 fontWeight={700} _firstLetter={{ textTransform: 'uppercase' }}>
            {picks.join(', ')}
          </chakra.h3>
          <Stated>{words}</Stated>
        </chakra.div>
        <Button
          variant="outline"
          flexShrink={0}
          disabled={taken}
          aria-label={`Take the drive: ${words}`}
          onClick={() => onTake(point)}
        >
          {taken ? 'Taken' : 'Take'}
        </Button>
      </chakra.div>
      <chakra.p mt="1" fontWeight={600}>
        {figures.join(' · ')}
      </chakra.p>
      {changes && (
        <Note mt="1">
          {changes.length === 0
            ? 'It is the drive that is chosen today.'
            : `Other than today: ${changes.map(slot => SLOT_WORDS[slot]).join(', ')}.`}
        </Note>
      )}
      {support && <Stated mt="1">{support}</Stated>}
      {rests.length > 0 && (
        <chakra.div mt="1">
          <chakra.p fontSize="14px" fontWeight={700} color="close">
            It rests on:
          </chakra.p>
          <Stated as="ul" pl="5" listStyleType="disc">
            {rests.map(({ title, sentence }) => (
              <li key={title}>
                <strong>{title}</strong>. {sentence}
              </li>
            ))}
          </Stated>
        </chakra.div>
      )}
    </chakra.li>
  )
}
