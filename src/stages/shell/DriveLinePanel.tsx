import { chakra } from '@chakra-ui/react'
import { ChevronDown, ChevronUp } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { PartKind } from '@/core/document/kinds'
import type { Stage } from '@/core/document/stages'
import { type DrivePart, driveLine } from '@/core/drawing/driveLine'
import { upward } from '@/core/drawing/upward'
import { movingPart } from '@/core/machine/movingPart'
import { type SheetId, sheetOf } from '@/core/sheets'
import { overlayAt } from '@/core/sheets/overlay'
import { Button } from '@/ui/controls'
import { DriveLine } from '@/ui/driveline/DriveLine'
import { DriveStrip } from '@/ui/driveline/DriveStrip'
import { useSettledEvaluation } from '../job/useEvaluation'
import { useFolded } from './useFolded'
import { useOverlay } from './useOverlay'

const KIND_OF: Partial<Record<DrivePart, PartKind>> = {
  screw: 'screw',
  nut: 'screw',
  bearing: 'bearing',
  coupler: 'coupler',
  belt: 'belt',
  motor: 'motor',
}
const PLAIN_NAMES: Record<Exclude<DrivePart, 'way'>, string> = {
  motor: 'Motor',
  coupler: 'Coupler',
  belt: 'Belt and pulleys',
  bearing: 'Fixed block',
  screw: 'Screw',
  nut: 'Nut in its bracket',
  far: 'Far block',
}

const PartSheet = dynamic(() => import('./PartSheet').then(module => module.PartSheet), { ssr: false })
const SectionBeside = dynamic(
  () => import('../sheets/nutRoom/SectionBeside').then(module => module.SectionBeside),
  {
    ssr: false,
  },
)

interface Props {
  jobId: string
  stage: Stage
  sheet: SheetId
  /** On a narrow screen it is a strip until it is opened. */
  narrow: boolean
}

/** Whether a sheet has a round or a test that is begun and not closed. */
const isBeingRead = (axis: Axis, sheet: SheetId): boolean =>
  Object.keys(sheetOf(sheet).fields ?? {}).some(key => {
    const kept = axis[key as keyof Axis]
    const last: unknown = Array.isArray(kept) ? kept.at(-1) : null
    return typeof last === 'object' && last !== null && 'finishedAt' in last && last.finishedAt === null
  })

/** The drive line of the axis with the findings of the stage, and the sheet of the part that is picked. */
export function DriveLinePanel({ jobId, stage, sheet, narrow }: Props) {
  const context = useSettledEvaluation()
  const { axis, catalogue } = context
  const [picked, setPicked] = useState<DrivePart | null>(null)
  const [position, setPosition] = useState(50)
  const line = driveLine(context, position / 100)
  const overlay = overlayAt(sheet, stage, context, line, useOverlay(sheet))
  const { marks, spans, zones, bend } = overlay
  const lays = marks.length + spans.length + zones.length > 0 || bend !== null
  // While a table is being filled, its first place is in sight: the line makes room.
  const [folded, fold] = useFolded(stage, lays && !isBeingRead(axis, sheet), narrow)
  const partOf = (part: DrivePart) => {
    const kind = KIND_OF[part]
    return kind ? catalogue[kind].get(axis.parts[kind] ?? '') : undefined
  }
  const plainNames: Record<DrivePart, string> = { ...PLAIN_NAMES, way: `Way and ${movingPart(axis)}` }
  const names = Object.fromEntries(
    Object.entries(plainNames).map(([part, name]) => {
      const chosen = partOf(part as DrivePart)
      return [part, chosen ? `${name}: ${chosen.name}` : name]
    }),
  ) as Record<DrivePart, string>
  const foldButton = (
    <Button
      variant="quiet"
      px="2"
      minH={{ base: '44px', lg: '30px' }}
      aria-expanded={!folded}
      aria-label={folded ? 'Open the drive line' : 'Fold the drive line'}
      title={folded ? 'Open the drive line' : 'Fold the drive line'}
      onClick={() => fold(!folded)}
    >
      {folded ? <ChevronDown size={18} aria-hidden /> : <ChevronUp size={18} aria-hidden />}
    </Button>
  )
  if (folded)
    return (
      <Bar aria-label="Drive line" data-folded="" display="flex" alignItems="center" gap="3" pl="3">
        <DriveStrip line={line} />
        <Up axis={axis} />
        <chakra.span flex="1" minW="0" fontSize="13px" color="quiet" truncate>
          {partOf('screw')?.name ?? 'No screw chosen yet: drawn in a usual size'}
        </chakra.span>
        {foldButton}
      </Bar>
    )
  return (
    <Bar aria-label="Drive line" p="2" pb="0.5">
      <chakra.div
        display="grid"
        gridTemplateColumns={{
          base: 'minmax(0, 1fr)',
          md: picked
            ? 'minmax(0, 1fr) 240px'
            : stage === 'room'
              ? 'minmax(0, 1fr) minmax(0, 130px)'
              : 'minmax(0, 1fr)',
        }}
        gap="3"
      >
        <DriveLine
          line={line}
          title={`Drive of axis ${axis.name}, to scale`}
          names={names}
          {...overlay}
          picked={picked}
          onPick={setPicked}
          onRun={
            line.limits
              ? share => setPosition(before => Math.min(100, Math.max(0, before + 100 * share)))
              : undefined
          }
        />
        {!picked && stage === 'room' && <SectionBeside />}
        {picked && (
          <PartSheet
            part={picked}
            kind={KIND_OF[picked] ?? null}
            title={plainNames[picked]}
            onClose={() => setPicked(null)}
            choose={{
              jobId,
              axisId: axis.id,
              stage: 'size',
              sheet: 'parts',
              part: KIND_OF[picked] && { kind: KIND_OF[picked], id: '' },
            }}
          />
        )}
      </chakra.div>
      <chakra.div display="flex" alignItems="center" gap="3" fontSize="13px" color="quiet" px="1">
        <Up axis={axis} />
        {line.limits && (
          <chakra.label
            display="flex"
            alignItems="center"
            gap="2"
            flex="1"
            minH={{ base: '44px', lg: '30px' }}
          >
            Nut along its travel
            <chakra.input
              type="range"
              min={0}
              max={100}
              step="any"
              value={position}
              onChange={event => setPosition(Number(event.currentTarget.value))}
              flex="1"
              minW="60px"
              minH={{ base: '44px', lg: '24px' }}
              accentColor="var(--dusk-colors-lamp)"
            />
          </chakra.label>
        )}
        {line.boxes.some(box => box.guessed) && (
          <chakra.span flex="1 1 0">Dashed: not chosen or not measured yet, in a usual size.</chakra.span>
        )}
        <chakra.span flex={line.limits ? undefined : '1'} textAlign="right">
          {foldButton}
        </chakra.span>
      </chakra.div>
    </Bar>
  )
}

const Bar = chakra('section', {
  base: { bg: 'panel', borderWidth: '1px', borderRadius: '8px', isolation: 'isolate', minW: '0' },
})

/** Which way is up, for an axis that does not lie level. */
function Up({ axis }: { axis: Axis }) {
  const up = upward(axis)
  if (!up) return null
  return (
    <chakra.span
      display="inline-flex"
      alignItems="center"
      gap="1.5"
      title={up.words}
      data-up={up.angleDeg ?? 'unknown'}
    >
      <svg width="24" height="24" viewBox="-12 -12 24 24" role="img" aria-label={up.words}>
        <g
          transform={`rotate(${-(up.angleDeg ?? 0)})`}
          stroke="var(--dusk-colors-lamp)"
          fill="none"
          strokeWidth="2.2"
        >
          <path
            d={up.angleDeg === null ? 'M-9 0H9' : 'M-9 0H9M3 -5.5L9.5 0L3 5.5'}
            strokeDasharray={up.angleDeg === null ? '3 3' : undefined}
          />
        </g>
      </svg>
      {up.angleDeg === null ? 'up?' : 'up'}
    </chakra.span>
  )
}
