import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { compareTravel } from '@/core/sheets/travel/compareTravel'
import { say } from '@/core/units/print'
import { Cell, Figures, HeadCell, Panel } from '@/ui/Panel'
import { useCatalogue, useSettledAxis, useUnits } from '../bench'

/** Ways to lay out the axis side by side: what travel each keeps, and what metal it costs. */
export function TravelPanel() {
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const units = useUnits()
  const ways = known(() => compareTravel(axis, catalogue))
  const length = (mm: number) => say(mm, 'length', units, 1)
  const wanted = axis.goals.wantedTravelMm
  return (
    <Panel
      title="Travel compared"
      note="What each way keeps of the travel, and what it costs in metal. Drag the nut on the drive line, or use its arrow keys, to run the axis to its ends."
    >
      {ways.value ? (
        <chakra.table width="100%" fontSize="14px" aria-label="Travel by way of making room">
          <thead>
            <tr>
              <HeadCell>Way</HeadCell>
              <HeadCell textAlign="right">Travel</HeadCell>
              <HeadCell textAlign="right">Against wanted</HeadCell>
              <HeadCell textAlign="right">Recess</HeadCell>
              <HeadCell textAlign="right">Block moved</HeadCell>
            </tr>
          </thead>
          <tbody>
            {ways.value.map((way, index) => (
              <chakra.tr key={way.name} fontWeight={index === 0 ? 700 : 400}>
                <Cell>{way.name}</Cell>
                <Cell textAlign="right">
                  <Figures>{length(way.travelMm)}</Figures>
                </Cell>
                <Cell textAlign="right" color={way.travelMm < wanted ? 'fails' : undefined}>
                  <Figures>
                    {way.travelMm < wanted ? '−' : '+'}
                    {length(Math.abs(way.travelMm - wanted))}
                  </Figures>
                </Cell>
                <Cell textAlign="right">
                  <Figures>{length(way.cutMm)}</Figures>
                </Cell>
                <Cell textAlign="right">
                  <Figures>{length(way.movedMm)}</Figures>
                </Cell>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      ) : (
        <chakra.p color="quiet">{ways.ask}</chakra.p>
      )}
    </Panel>
  )
}
