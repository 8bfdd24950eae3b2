import { chakra } from '@chakra-ui/react'
import { Fragment } from 'react'
import type { Axis } from '@/core/document/axis'
import type { DrivePoint } from '@/core/search/field'
import type { Handpicked } from '@/core/search/handful'
import type { DriveSlot } from '@/core/search/slots'
import { money, printFixed, say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { useWholeCatalogue } from '../../job/useEvaluation'
import { isTaken } from './driveColumns'
import { drivePartsWords, driveWords } from './driveWords'

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
        gap="2"
        gridTemplateColumns={`repeat(auto-fit, minmax(${LEAST_PX}px, 1fr))`}
      >
        {handful.map(one => (
          <Card key={one.picks.join()} one={one} axis={axis} units={units} onTake={onTake} />
        ))}
      </chakra.ul>
      <RestsOn handful={handful} />
    </>
  )
}

/** So narrow a drive can still be read, and five stand side by side. */
const LEAST_PX = 132

type CardProps = Omit<Props, 'handful'> & { one: Handpicked }

function Card({ one: { picks, point, rests, support, changes }, axis, units, onTake }: CardProps) {
  const catalogue = useWholeCatalogue()
  const taken = isTaken(axis, point)
  const words = driveWords(point, catalogue)
  const figures = [
    ['price', money(point.priceEur)],
    ['tightest', `${printFixed(point.margin, 2)} times`],
    ['loses', say(point.lostMotionUm, 'smallLength', units)],
    ['high', say(point.heightMm, 'length', units, units === 'mm' ? 0 : 2)],
    ['heavy', point.massKg === null ? '–' : say(point.massKg, 'mass', units, 1)],
    ['here in', point.days === null ? '–' : `${point.days} days`],
  ] as const
  return (
    <chakra.li
      data-picks={picks.join(', ')}
      borderWidth="1px"
      borderColor={taken ? 'lamp' : 'line'}
      borderTopWidth="4px"
      borderRadius="6px"
      p="2"
      minW="0"
      display="grid"
      // Each line of one stands beside that of the others.
      gridRow="span 5"
      gridTemplateRows="subgrid"
      rowGap="2"
      fontSize="13px"
    >
      <chakra.h3 fontWeight={700} fontSize="14px" _firstLetter={{ textTransform: 'uppercase' }}>
        {picks.join(', ')}
      </chakra.h3>
      <chakra.dl display="grid" gridTemplateColumns="auto 1fr" columnGap="2" alignContent="start">
        {figures.map(([name, value]) => (
          <Fragment key={name}>
            <chakra.dt color="quiet">{name}</chakra.dt>
            <chakra.dd fontWeight={600} textAlign="right">
              {value}
            </chakra.dd>
          </Fragment>
        ))}
      </chakra.dl>
      <Button
        variant="outline"
        px="2"
        disabled={taken}
        aria-label={`Take the drive: ${words}`}
        onClick={() => onTake(point)}
      >
        {taken ? 'Taken' : 'Take'}
      </Button>
      <chakra.ul display="grid" gap="1" alignContent="start">
        {drivePartsWords(point, catalogue).map(part => (
          <li key={part}>{part}</li>
        ))}
      </chakra.ul>
      <chakra.div color="quiet">
        {changes &&
          (changes.length === 0
            ? 'The drive that is chosen today.'
            : `Other than today: ${changes.map(slot => SLOT_WORDS[slot]).join(', ')}.`)}
        {support && <chakra.p mt="1">{support}</chakra.p>}
        {rests.length > 0 && (
          <chakra.p mt="1" color="close" fontWeight={700}>
            Rests on: {rests.map(({ title }) => title.toLowerCase()).join('; ')}.
          </chakra.p>
        )}
      </chakra.div>
    </chakra.li>
  )
}

/** What the drives rest on, each said once. */
function RestsOn({ handful }: { handful: readonly Handpicked[] }) {
  const all = new Map(handful.flatMap(({ rests }) => rests.map(({ title, sentence }) => [sentence, title])))
  if (all.size === 0) return null
  return (
    <chakra.div mt="2">
      <Stated fontWeight={700} color="close">
        What they rest on:
      </Stated>
      <Stated as="ul" pl="5" listStyleType="disc">
        {[...all].map(([sentence, title]) => (
          <li key={sentence}>
            <strong>{title}</strong>. {sentence}
          </li>
        ))}
      </Stated>
    </chakra.div>
  )
}
