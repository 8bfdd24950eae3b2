import { chakra } from '@chakra-ui/react'
import { HelpCircle, Maximize2, Moon, Plus, Redo2, Search, Sun, Undo2 } from 'lucide-react'
import type { ReactNode } from 'react'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import { useScheme } from '../theme/useScheme'
import { Wordmark } from './Wordmark'

interface Props {
  jobName: string
  /** The place for the whole machine, and the axes: links. */
  places: ReactNode
  /** What is beside them and of no axis. */
  beside: ReactNode
  onAddAxis: () => void
  units: UnitSystem
  onUnits: (units: UnitSystem) => void
  undoLabel: string | null
  redoLabel: string | null
  onUndo: () => void
  onRedo: () => void
  onPalette: () => void
  onHelp: () => void
  /** Shows only what is in hand, large; none where that is so already. */
  onAtMachine: (() => void) | null
  saved: ReactNode
}

/** The job's name, its axes, and what holds everywhere: saving, undo, units, scheme, palette and help. */
export function Header(props: Props) {
  const {
    jobName,
    places,
    beside,
    onAddAxis,
    units,
    onUnits,
    undoLabel,
    redoLabel,
    onUndo,
    onRedo,
    onPalette,
    onHelp,
    onAtMachine,
    saved,
  } = props
  return (
    <chakra.div display="flex" flexWrap="wrap" alignItems="center" gap="2" px="3" py="1.5" minH="56px">
      <Wordmark />
      <chakra.h1
        fontSize="16px"
        fontWeight={700}
        maxW="200px"
        overflow="hidden"
        textOverflow="ellipsis"
        whiteSpace="nowrap"
        title={jobName}
      >
        {jobName}
      </chakra.h1>
      <chakra.nav
        aria-label="Machine and axes"
        display="flex"
        gap="1"
        flex={{ base: '1 1 380px', lg: '1 1 220px' }}
        minW="0"
        overflowX="auto"
      >
        {places}
        <Button variant="quiet" onClick={onAddAxis} aria-label="Add an axis" title="Add an axis" px="2">
          <Plus size={18} aria-hidden />
        </Button>
        {beside}
      </chakra.nav>
      {saved}
      <chakra.div display="flex" gap="1" flexWrap="wrap">
        <IconButton
          label={undoLabel ? `Undo: ${undoLabel}` : 'Nothing to undo'}
          disabled={!undoLabel}
          onClick={onUndo}
          icon={<Undo2 size={18} aria-hidden />}
        />
        <IconButton
          label={redoLabel ? `Redo: ${redoLabel}` : 'Nothing to redo'}
          disabled={!redoLabel}
          onClick={onRedo}
          icon={<Redo2 size={18} aria-hidden />}
        />
        <Button
          variant="quiet"
          onClick={() => onUnits(units === 'mm' ? 'inch' : 'mm')}
          aria-label={`Units: ${units}. Switch to ${units === 'mm' ? 'inch' : 'mm'}`}
        >
          {units}
        </Button>
        {onAtMachine && (
          <IconButton
            label="At the machine: only what is in hand, large (M)"
            onClick={onAtMachine}
            icon={<Maximize2 size={18} aria-hidden />}
          />
        )}
        <SchemeButton />
        <IconButton
          label="Find and go (Ctrl K)"
          onClick={onPalette}
          icon={<Search size={18} aria-hidden />}
        />
        <IconButton label="Help and keys (?)" onClick={onHelp} icon={<HelpCircle size={18} aria-hidden />} />
      </chakra.div>
    </chakra.div>
  )
}

interface IconButtonProps {
  label: string
  icon: ReactNode
  onClick: () => void
  disabled?: boolean
}
function IconButton({ label, icon, onClick, disabled }: IconButtonProps) {
  return (
    <Button variant="quiet" px="2" aria-label={label} title={label} disabled={disabled} onClick={onClick}>
      {icon}
    </Button>
  )
}

/** Dusk for the shed, day for sunlight. */
export function SchemeButton() {
  const { scheme, switchScheme } = useScheme()
  const dusk = scheme === 'dusk'
  return (
    <IconButton
      label={dusk ? 'Day scheme' : 'Dusk scheme'}
      onClick={switchScheme}
      icon={dusk ? <Sun size={18} aria-hidden /> : <Moon size={18} aria-hidden />}
    />
  )
}
