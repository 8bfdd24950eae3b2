import { chakra } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import type { DrivePoint } from '@/core/search/field'
import type { SearchedKind, WhyNot } from '@/core/search/whyNot'
import { money, say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { TextField } from '@/ui/fields/TextField'
import { Stated } from '@/ui/Note'
import { startWhyNot } from '@/workers/client'
import { useSearchTask, useWholeCatalogue } from '../../job/useEvaluation'
import { useRun } from '../../job/useRun'
import { driveWords } from './driveWords'

const KINDS: { value: SearchedKind; label: string }[] = [
  { value: 'screw', label: 'screw' },
  { value: 'bearing', label: 'bearings' },
  { value: 'coupler', label: 'coupler' },
  { value: 'belt', label: 'belt' },
  { value: 'motor', label: 'motor' },
]

/** More than these nobody looks through: a name is typed instead. */
const MOST_LISTED = 300

/** Parts of a kind by their names; of a long list, the first that have every word that was typed. */
function listed(catalogue: Catalogue, kind: SearchedKind, typed: string) {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  const named: { value: string; label: string }[] = []
  for (const { id, name } of catalogue[kind].values()) {
    if (!words.every(word => name.toLowerCase().includes(word))) continue
    named.push({ value: id, label: name })
    if (named.length === MOST_LISTED) break
  }
  return named
}

interface Props {
  axis: Axis
  units: UnitSystem
  points: DrivePoint[]
  onTake: (point: DrivePoint) => void
}

/** Asks why a part that the builder has in mind is not among the drives that nothing beats. */
export function WhyNotField({ axis, units, points, onTake }: Props) {
  const [kind, setKind] = useState<SearchedKind>('screw')
  const [partId, setPartId] = useState(axis.parts.screw ?? '')
  const { run, start, clear } = useRun<WhyNot>()
  const catalogue = useWholeCatalogue()
  const task = useSearchTask(axis)
  const [typed, setTyped] = useState('')
  const isLong = catalogue[kind].size > MOST_LISTED
  const parts = useMemo(() => listed(catalogue, kind, typed), [catalogue, kind, typed])
  const asked = parts.some(({ value }) => value === partId) ? partId : (parts[0]?.value ?? '')

  const ask = () => start(() => startWhyNot(task, kind, asked, points))
  return (
    <chakra.section aria-label="Why not this part" mt="4" pt="3" borderTopWidth="1px">
      <chakra.h3 fontWeight={700} mb="2">
        Why not the one I have in mind?
      </chakra.h3>
      <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end">
        <SelectField
          label="Kind of part"
          value={kind}
          options={KINDS}
          onChange={next => {
            setKind(next)
            setPartId(axis.parts[next] ?? '')
            clear()
          }}
        />
        {isLong && (
          <TextField
            label={`Find it among ${catalogue[kind].size}`}
            value={typed}
            onChange={event => setTyped(event.currentTarget.value)}
          />
        )}
        <SelectField
          label="Part"
          value={asked}
          options={parts}
          onChange={next => {
            setPartId(next)
            clear()
          }}
        />
        <Button variant="outline" onClick={ask} disabled={run.kind === 'running' || asked === ''}>
          Ask
        </Button>
      </chakra.div>
      <Stated as="div" role="status" mt="2">
        {run.kind === 'running' && 'Trying it with everything that goes with it…'}
        {run.kind === 'failed' && `It did not come to an end: ${run.message}.`}
        {run.kind === 'done' && <Answer answer={run.value} units={units} onTake={onTake} />}
      </Stated>
    </chakra.section>
  )
}

function Answer({ answer, units, onTake }: { answer: WhyNot; units: UnitSystem; onTake: Props['onTake'] }) {
  const catalogue = useWholeCatalogue()
  const merits = (point: DrivePoint) =>
    `${money(point.priceEur)}, worst margin ${say(point.margin, 'ratio', units, 2)}, ${say(
      point.lostMotionUm,
      'smallLength',
      units,
    )} lost, ${say(point.heightMm, 'length', units)} high`
  switch (answer.kind) {
    case 'chosen':
      return <p>It is among them: {answer.points.length} of these drives have it.</p>
    case 'beaten':
      return (
        <>
          <p>
            It works, but something else is nowhere worse and somewhere better. With it: {merits(answer.its)}.
            Instead: {merits(answer.by)}, which is {driveWords(answer.by, catalogue)}.
          </p>
          <Button variant="quiet" onClick={() => onTake(answer.its)}>
            Take it all the same
          </Button>
        </>
      )
    case 'outside':
      return <p>The search keeps to something else: {answer.given.join('; ')}.</p>
    case 'fails':
      return (
        <>
          <p>
            {answer.nearest
              ? `Nothing that goes with it holds. Nearest: ${driveWords(answer.nearest, catalogue)}. There:`
              : 'It fails whatever goes with it:'}
          </p>
          <chakra.ul pl="5" listStyleType="disc">
            {answer.fails.map(({ title, sentence }) => (
              <li key={title}>
                <strong>{title}</strong>: {sentence}
              </li>
            ))}
          </chakra.ul>
        </>
      )
  }
}
