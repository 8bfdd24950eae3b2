import { chakra } from '@chakra-ui/react'
import { X } from 'lucide-react'
import type { PartKind } from '@/core/document/kinds'
import type { DrivePart } from '@/core/drawing/driveLine'
import { inItsWord } from '@/core/machine/movingPart'
import { partSheet, type SheetRow } from '@/core/machine/parts/sheet'
import { money, say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Figures } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import type { Place } from '../job/address'
import { useUnits } from '../job/JobContext'
import { PlaceButton } from '../job/PlaceLink'
import { useSettledAxis } from '../job/useAxis'
import { useCatalogue, useFindings } from '../job/useEvaluation'

interface Props {
  part: DrivePart
  kind: PartKind | null
  title: string
  onClose: () => void
  /** Where another one is chosen. */
  choose: Place
}

/** The sheet of a part that was picked on the drive line: what it is, its figures, its verdicts. */
export function PartSheet({ part, kind, title, onClose, choose }: Props) {
  const axis = useSettledAxis()
  const partId = kind ? axis.parts[kind] : null
  const units = useUnits()
  const catalogue = useCatalogue()
  const findings = useFindings()
  const chosen = kind ? catalogue[kind].get(partId ?? '') : undefined
  const own = findings.filter(({ subject }) => subject === part || (part === 'way' && subject === 'travel'))
  const rows = kind && chosen ? partSheet(kind, chosen as never) : []
  return (
    <Stated
      as="aside"
      aria-label={`Sheet: ${title}`}
      borderLeftWidth={{ md: '1px' }}
      pl={{ md: '3' }}
      maxH="236px"
      overflowY="auto"
    >
      <chakra.div display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2 fontWeight={700} fontSize="15px">
          {title}
        </chakra.h2>
        <Button variant="quiet" px="2" aria-label="Close the sheet" onClick={onClose}>
          <X size={16} aria-hidden />
        </Button>
      </chakra.div>
      {chosen ? (
        <chakra.p>
          {chosen.name}, {chosen.maker}, {money(chosen.priceEur)}
        </chakra.p>
      ) : (
        <chakra.p color="quiet">
          {kind ? 'Not chosen yet: drawn in a usual size.' : inItsWord(WORDS[part] ?? '', axis)}
        </chakra.p>
      )}
      {own.map(finding => (
        <chakra.p key={finding.checkId} display="flex" justifyContent="space-between" gap="2" mt="1">
          {finding.title} <StateMark state={finding.state} />
        </chakra.p>
      ))}
      <chakra.dl display="grid" gridTemplateColumns="1fr auto" columnGap="2" mt="2">
        {rows.map(row => (
          <Line key={row.label} row={row} units={units} />
        ))}
      </chakra.dl>
      {kind && (
        <PlaceButton place={choose} variant="quiet" mt="1" ml="-2">
          {chosen ? 'Choose another' : 'Choose it'}
        </PlaceButton>
      )}
    </Stated>
  )
}

const WORDS: Partial<Record<DrivePart, string>> = {
  far: 'Holds the far end of the screw. How it holds is chosen under Size, with the ends.',
  way: 'The way guides the slide, which carries the work or the tool. Measured under Survey.',
}

function Line({ row, units }: { row: SheetRow; units: UnitSystem }) {
  const text =
    'text' in row
      ? row.text
      : row.unit === undefined
        ? say(row.value, row.quantity, units)
        : `${say(row.value, row.quantity, units)} ${row.unit}`.trim()
  return (
    <>
      <chakra.dt color="quiet">{row.label}</chakra.dt>
      <chakra.dd textAlign="right">
        <Figures>{text}</Figures>
      </chakra.dd>
    </>
  )
}
