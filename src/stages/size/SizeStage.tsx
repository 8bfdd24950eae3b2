import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useEffect, useState } from 'react'
import type { Axis, PartKind } from '@/core/document/job'
import { setEnds, setPreload } from '@/core/machine/driveEdits'
import { neededParts } from '@/core/machine/neededParts'
import type { PartOf } from '@/core/machine/parts'
import { SCREW_ENDS, type ScrewEnds } from '@/core/machine/sizing/screw'
import type { PartVerdict } from '@/core/sheets/judgeParts'
import { Button } from '@/ui/controls'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { benchWorker } from '@/workers/client'
import { useAxis, useAxisNow, useCatalogue, useEdit, useSettledAxis, useTask, useUnits } from '../bench'
import { DrivePanel } from './DrivePanel'
import { JudgementPanel } from './JudgementPanel'
import { KIND_WORDS } from './kindWords'
import { PartList } from './parts/PartList'

// The charts, the search and the duty come after the parts: they load when the stage is there.
const SizeFigures = dynamic(() => import('./SizeFigures').then(module => module.SizeFigures), {
  ssr: false,
  loading: () => <chakra.p color="quiet">Drawing the charts…</chakra.p>,
})

const ENDS_WORDS: Record<ScrewEnds, string> = {
  'fixed-free': 'fixed at one end, free at the other',
  'supported-supported': 'supported at both ends',
  'fixed-supported': 'fixed at one end, supported at the other',
  'fixed-fixed': 'fixed at both ends',
}

/** Which screw, nut, bearings, coupler and motor? */
export function SizeStage() {
  const axis = useSettledAxis()
  const units = useUnits()
  const edit = useEdit()
  const catalogue = useCatalogue()
  const kinds = neededParts(axis)
  const firstOpen = kinds.find(kind => axis.parts[kind] === null) ?? 'screw'
  const [picked, setKind] = useState<PartKind>(firstOpen)
  const kind = kinds.includes(picked) ? picked : firstOpen
  const verdicts = usePartVerdicts(axis, kind)
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  return (
    <>
      <JudgementPanel axis={axis} units={units} />
      <DrivePanel axis={axis} />
      <Panel title="Parts of the drive">
        <chakra.div
          role="group"
          aria-label="Kind of part"
          display="grid"
          gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }}
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
                  {chosen?.name ?? 'not chosen yet'}
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
              options={SCREW_ENDS.map(value => ({ value, label: ENDS_WORDS[value] }))}
              onChange={ends => edit(setEnds(axis, ends))}
            />
            {screw && screw.preloadN > 0 && <PreloadField screw={screw} />}
          </chakra.div>
        )}
        <PartList key={kind} axis={axis} kind={kind} verdicts={verdicts} />
      </Panel>
      <SizeFigures axis={axis} units={units} />
    </>
  )
}

/** What each part of a kind would do to the verdicts, worked out beside the screen; the last answer stays meanwhile. */
function usePartVerdicts(axis: Axis, kind: PartKind) {
  const task = useTask(axis)
  const [judged, setJudged] = useState<{ kind: PartKind; byId: ReadonlyMap<string, PartVerdict> } | null>(
    null,
  )
  useEffect(() => {
    let current = true
    benchWorker()
      .judgeParts(task, kind)
      .then(found => current && setJudged({ kind, byId: new Map(found.map(one => [one.partId, one])) }))
    return () => {
      current = false
    }
  }, [task, kind])
  return judged?.kind === kind ? judged.byId : null
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
