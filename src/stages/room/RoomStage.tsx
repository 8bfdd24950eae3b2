import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { ROOM, ROOM_KEYS } from '@/core/document/dimensions'
import { setNutFacing, setRoom } from '@/core/document/edits'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { nutReach, travel } from '@/core/machine/travel/placement'
import { say } from '@/core/units/print'
import { SelectField } from '@/ui/fields/SelectField'
import { Cell, Figures, Panel } from '@/ui/Panel'
import { AxisField } from '../AxisField'
import { useAxis, useAxisNow, useCatalogue, useEdit, useSettledAxis, useUnits } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { SheetList } from './SheetList'

// What is below the budget loads when the stage is there.
const RoomSheets = dynamic(() => import('./RoomSheets').then(module => module.RoomSheets), {
  ssr: false,
  loading: () => <chakra.p color="quiet">Laying out the sheets…</chakra.p>,
})

/** Does it fit, and what travel is left? */
export function RoomStage() {
  const facing = useAxis(axis => axis.nutFacing)
  const axisNow = useAxisNow()
  const edit = useEdit()
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) minmax(0, 1.1fr)' }}
      alignItems="start"
    >
      <chakra.div gridColumn="1 / -1">
        <SheetList />
      </chakra.div>
      <Panel
        title="Recesses and stops"
        note="A recess lets the nut enter a bore in the casting. What is kept clear holds soft limit, switch and hard stop apart."
      >
        <chakra.div display="grid" gap="3" data-readings>
          {ROOM_KEYS.map(key => (
            <AxisField
              key={key}
              facts={ROOM[key]}
              select={axis => axis.room[key]}
              command={(axis, value, mergeKey) => setRoom(axis, key, value, mergeKey)}
            />
          ))}
          <SelectField
            label="Nut body stands towards"
            value={facing}
            options={[
              { value: 'far', label: 'the far end' },
              { value: 'fixed', label: 'the fixed end' },
            ]}
            onChange={next => edit(setNutFacing(axisNow(), next))}
          />
        </chakra.div>
      </Panel>
      <Budget />
      <chakra.div gridColumn="1 / -1" display="grid" gap="3" minW="0">
        <RoomSheets />
      </chakra.div>
    </chakra.div>
  )
}

/** The travel budget as a sum, line by line. */
function Budget() {
  const axis = useSettledAxis()
  const units = useUnits()
  const catalogue = useCatalogue()
  const budget = known(() => {
    const t = new Trace(axis, catalogue)
    return {
      ...travel(t),
      ...nutReach(t),
      spanMm: t.dimension('supportSpanMm'),
      wayMm: t.dimension('wayTravelMm'),
    }
  })
  if (!budget.value)
    return (
      <Panel title="Travel budget">
        <chakra.p color="quiet">{budget.ask}</chakra.p>
      </Panel>
    )
  const { value } = budget
  const lines: [label: string, mm: number, sign: '' | '+' | '−' | '='][] = [
    ['Between the blocks', value.spanMm, ''],
    ['Recesses', axis.room.recessFixedMm + axis.room.recessFarMm, '+'],
    ['Nut, towards the far end', value.nutAheadMm, '−'],
    ['Nut, towards the fixed end', value.nutBehindMm, '−'],
    ['Kept clear at both ends', axis.room.safetyFixedMm + axis.room.safetyFarMm, '−'],
    ['The screw allows', value.screwTravelMm, '='],
    ['The ways allow', value.wayMm, ''],
    ['Travel left: the smaller', value.travelMm, '='],
    ['Lost', value.lostMm, ''],
  ]
  return (
    <Panel title="Travel budget" action={<WorkingButton checkId="room.travel" of="the travel budget" />}>
      <chakra.table width="100%" fontSize="15px">
        <tbody>
          {lines.map(([label, mm, sign]) => (
            <chakra.tr key={label} fontWeight={sign === '=' ? 700 : 400}>
              <Cell>{label}</Cell>
              <Cell textAlign="right">
                <Figures>
                  {sign} {say(mm, 'length', units, 1)}
                </Figures>
              </Cell>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      <chakra.p mt="3" fontSize="14px">
        {value.lostMm > 0
          ? `${say(value.lostMm, 'length', units, 1)} of the ways goes unused. A recess of ${say(value.recessNeededMm, 'length', units, 1)} in all would bring it back; a shorter nut or a wider span does the same.`
          : 'Nothing is lost: the ways end the travel, not the screw.'}
      </chakra.p>
      <chakra.p mt="2" fontSize="14px" color="quiet">
        Before cutting a recess: check the wall that is left, clamp the casting, wear eye protection, and do
        not breathe cast-iron dust.
      </chakra.p>
    </Panel>
  )
}
