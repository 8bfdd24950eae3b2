import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { PartKind } from '@/core/document/kinds'
import type { Stage } from '@/core/document/stages'
import { type DrivePart, driveLine } from '@/core/drawing/driveLine'
import { overlayOf } from '@/core/sheets/overlay'
import { DriveLine } from '@/ui/driveline/DriveLine'
import { useSettledEvaluation } from '../job/useEvaluation'

import { PartSheet } from './PartSheet'

const KIND_OF: Partial<Record<DrivePart, PartKind>> = {
  screw: 'screw',
  nut: 'screw',
  bearing: 'bearing',
  coupler: 'coupler',
  belt: 'belt',
  motor: 'motor',
}
const PLAIN_NAMES: Record<DrivePart, string> = {
  motor: 'Motor',
  coupler: 'Coupler',
  belt: 'Belt and pulleys',
  bearing: 'Fixed block',
  screw: 'Screw',
  nut: 'Nut in its bracket',
  far: 'Far block',
  way: 'Way and table',
}

const SectionBeside = dynamic(
  () => import('../sheets/nutRoom/SectionBeside').then(module => module.SectionBeside),
  {
    ssr: false,
  },
)

/** The drive line of the axis with the findings of the stage, and the sheet of the part that is picked. */
export function DriveLinePanel({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const context = useSettledEvaluation()
  const { axis, catalogue } = context
  const [picked, setPicked] = useState<DrivePart | null>(null)
  const [position, setPosition] = useState(50)
  const line = driveLine(context, position / 100)
  const partOf = (part: DrivePart) => {
    const kind = KIND_OF[part]
    return kind ? catalogue[kind].get(axis.parts[kind] ?? '') : undefined
  }
  const names = Object.fromEntries(
    Object.entries(PLAIN_NAMES).map(([part, name]) => {
      const chosen = partOf(part as DrivePart)
      return [part, chosen ? `${name}: ${chosen.name}` : name]
    }),
  ) as Record<DrivePart, string>

  return (
    <chakra.section
      aria-label="Drive line"
      bg="panel"
      borderWidth="1px"
      borderRadius="8px"
      p="2"
      isolation="isolate"
    >
      <chakra.div
        display="grid"
        gridTemplateColumns={{
          base: 'minmax(0, 1fr)',
          md: picked
            ? 'minmax(0, 1fr) 240px'
            : stage === 'room'
              ? 'minmax(0, 1fr) minmax(0, 150px)'
              : 'minmax(0, 1fr)',
        }}
        gap="3"
      >
        <chakra.div minW="0">
          <DriveLine
            line={line}
            title={`Drive of axis ${axis.name}, to scale`}
            names={names}
            {...overlayOf(stage, context, line)}
            picked={picked}
            onPick={setPicked}
            onRun={
              line.limits
                ? share => setPosition(before => Math.min(100, Math.max(0, before + 100 * share)))
                : undefined
            }
          />
          {line.boxes.some(box => box.guessed) && (
            <chakra.p fontSize="13px" color="quiet" px="2">
              Dashed: not chosen or not measured yet, drawn in a usual size.
            </chakra.p>
          )}
          {line.limits && (
            <chakra.label
              display="flex"
              alignItems="center"
              gap="2"
              fontSize="13px"
              color="quiet"
              px="2"
              minH={{ base: '44px', xl: '30px' }}
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
                minH={{ base: '44px', xl: '24px' }}
                accentColor="var(--dusk-colors-lamp)"
              />
            </chakra.label>
          )}
        </chakra.div>
        {!picked && stage === 'room' && <SectionBeside />}
        {picked && (
          <PartSheet
            part={picked}
            kind={KIND_OF[picked] ?? null}
            title={PLAIN_NAMES[picked]}
            onClose={() => setPicked(null)}
            onChoose={() => onStage('size')}
          />
        )}
      </chakra.div>
    </chakra.section>
  )
}
