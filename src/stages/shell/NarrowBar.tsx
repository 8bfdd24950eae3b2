import { chakra } from '@chakra-ui/react'
import { ArrowRight, ChevronDown, ChevronUp, Minimize2, Search } from 'lucide-react'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import { type SheetId, sheetOf } from '@/core/sheets'
import { Button } from '@/ui/controls'
import { Lamp } from '@/ui/frame/Lamp'
import { useAxisNames, useJob } from '../job/JobContext'
import { PlaceButton } from '../job/PlaceLink'
import { useStanding } from '../job/standing'

interface Props {
  place: { jobId: string; axisId: string; stage: Stage; sheet: SheetId }
  /** Whether header and rail are unfolded below it. */
  open: boolean
  onOpen: (open: boolean) => void
  onFind: () => void
  /** Back from the machine to all of the screen. */
  onLeave: (() => void) | null
}

/** On a narrow screen, and at the machine: where one is, which unfolds all other places; what is next; and what finds everything. */
export function NarrowBar({ place: { jobId, axisId, stage, sheet }, open, onOpen, onFind, onLeave }: Props) {
  const axis = useAxisNames().find(({ id }) => id === axisId)
  const jobName = useJob(({ name }) => name)
  const next = useStanding()?.next
  const title = sheetOf(sheet).title
  const where =
    stage === 'machine' ? STAGE_WORDS.machine.label : `${axis?.name ?? ''} · ${STAGE_WORDS[stage].label}`
  return (
    <chakra.div display="flex" alignItems="center" gap="1" px="2" minH="48px">
      {/* The header that is folded away has it otherwise. */}
      {!open && <chakra.h1 srOnly>{jobName}</chakra.h1>}
      <chakra.a href="/" aria-label="All jobs" display="inline-flex" alignItems="center" minH="44px" px="1">
        <Lamp lamp="var(--dusk-colors-lamp-fill)" steel="var(--dusk-colors-steel)" />
      </chakra.a>
      <Button
        variant="quiet"
        flex="1"
        minW="0"
        px="1"
        justifyContent="space-between"
        aria-expanded={open}
        aria-label={`${where} · ${title}. ${open ? 'Fold' : 'Unfold'} axes, stages and sheets`}
        onClick={() => onOpen(!open)}
      >
        <chakra.span minW="0" truncate>
          <chakra.span fontWeight={400}>{where} · </chakra.span>
          {title}
        </chakra.span>
        {open ? <ChevronUp size={18} aria-hidden /> : <ChevronDown size={18} aria-hidden />}
      </Button>
      {next && stage !== 'machine' && (
        <PlaceButton
          place={{ jobId, axisId: next.axisId, stage: next.stage, sheet: next.sheet }}
          variant="quiet"
          px="2"
          aria-label={`Next: ${next.text}`}
          title={`Next: ${next.text}`}
        >
          <ArrowRight size={18} aria-hidden />
        </PlaceButton>
      )}
      <Button variant="quiet" px="2" aria-label="Find and go" title="Find and go" onClick={onFind}>
        <Search size={18} aria-hidden />
      </Button>
      {onLeave && (
        <Button
          variant="outline"
          px="2"
          aria-label="Back from the machine: all of the screen"
          onClick={onLeave}
        >
          <Minimize2 size={18} aria-hidden />
        </Button>
      )}
    </chakra.div>
  )
}
