import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { type PartKind, SCREW_ENDS, SCREW_ENDS_WORDS } from '@/core/document/kinds'
import type { PartOf } from '@/core/document/parts/types'
import { setEnds, setPreload } from '@/core/machine/driveEdits'
import { neededParts, offeredParts } from '@/core/machine/neededParts'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { useEdit, useUnits } from '../../job/JobContext'
import { KIND_WORDS } from '../../job/kindWords'
import { Lessons } from '../../job/lessons/Lessons'
import { useAskedPart } from '../../job/place'
import { useAxis, useAxisNow, useSettledAxis } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { PartList } from './PartList'

/** The parts of the drive: each kind to choose from, with what every part would do to the verdicts. */
export function PartsPanel() {
  const asked = useAskedPart()
  // Asked for anew, it starts anew at the part that is asked for.
  return <Parts key={`${asked?.kind} ${asked?.id}`} asked={asked} />
}

function Parts({ asked }: { asked: ReturnType<typeof useAskedPart> }) {
  const axis = useSettledAxis()
  const edit = useEdit()
  const catalogue = useCatalogue()
  const kinds = offeredParts(axis)
  const firstOpen = neededParts(axis).find(kind => axis.parts[kind] === null) ?? 'screw'
  const [picked, setKind] = useState<PartKind>(asked?.kind ?? firstOpen)
  const kind = kinds.includes(picked) ? picked : firstOpen
  const chosenId = axis.parts[kind]
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  return (
    <Panel title="Parts of the drive">
      <chakra.div
        role="group"
        aria-label="Kind of part"
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: `repeat(${kinds.length}, 1fr)` }}
        gap="2"
        mb="3"
      >
        {kinds.map(one => {
          const chosen = catalogue[one].get(axis.parts[one] ?? '')
          return (
            <Button
              key={one}
              variant={one === kind ? 'lamp' : 'outline'}
              aria-pressed={one === kind}
              onClick={() => setKind(one)}
              flexDirection="column"
              alignItems="flex-start"
              justifyContent="flex-start"
              gap="0"
              py="1.5"
              textAlign="left"
            >
              <span>{KIND_WORDS[one]}</span>
              <chakra.span fontWeight={400} fontSize="13px">
                {chosen?.name ?? (one === 'brake' ? 'none' : 'not chosen yet')}
              </chakra.span>
            </Button>
          )
        })}
      </chakra.div>
      {kind === 'screw' && (
        <chakra.div display="flex" flexWrap="wrap" gap="4" mb="3">
          <SelectField
            label="How the ends are held"
            value={axis.ends}
            options={SCREW_ENDS.map(value => ({ value, label: SCREW_ENDS_WORDS[value] }))}
            onChange={ends => edit(setEnds(axis, ends))}
          />
          {screw && screw.preloadN > 0 && <PreloadField screw={screw} />}
        </chakra.div>
      )}
      {chosenId && (
        <chakra.div mb="2">
          <Lessons
            key={chosenId}
            on="part"
            of={chosenId}
            here={catalogue[kind].get(chosenId)?.name ?? 'this part'}
          />
        </chakra.div>
      )}
      <PartList key={kind} axis={axis} kind={kind} askedId={asked?.kind === kind ? asked.id : null} />
    </Panel>
  )
}

/** The preload that is set on a preloaded nut, instead of the one it is delivered with. */
function PreloadField({ screw }: { screw: PartOf['screw'] }) {
  const axisNow = useAxisNow()
  const preloadN = useAxis(axis => axis.preloadN)
  const units = useUnits()
  const edit = useEdit()
  return (
    <QuantityField
      label="Preload of the nut"
      kind="force"
      units={units}
      min={1}
      max={0.1 * (screw.dynamicCapacityN ?? 0)}
      value={preloadN ?? screw.preloadN}
      onValue={(value, mergeKey) => value !== null && edit(setPreload(axisNow(), value, mergeKey))}
    >
      {preloadN !== null && (
        <Button variant="quiet" onClick={() => edit(setPreload(axisNow(), null))}>
          As delivered
        </Button>
      )}
    </QuantityField>
  )
}
