import { chakra } from '@chakra-ui/react'
import { known } from '@/core/evaluation/attempt'
import { Trace } from '@/core/evaluation/context'
import { screwDrawing, screwSteps, totalLengthMm } from '@/core/sheets/leadscrewEnds/drawing'
import { say } from '@/core/units/print'
import { Cell, Figures, HeadCell, Panel, SideScroll } from '@/ui/Panel'
import { evaluationOf, useCatalogue, useJob, useSettledAxis, useUnits } from '../bench'
import { DrawingSheet } from './DrawingSheet'

/** The ends of the screw as they are turned, out of the parts that are chosen. */
export function ScrewEndPanel() {
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const units = useUnits()
  const jobName = useJob(job => job.name)
  const steps = known(() => screwSteps(new Trace(axis, catalogue)))
  const fit = evaluationOf(axis, catalogue, units).findings.find(
    ({ checkId }) => checkId === 'coupler.bores' || checkId === 'belt.bores',
  )?.sentence
  const length = (mm: number) => say(mm, 'length', units)
  return (
    <Panel
      title="Ends of the screw"
      note="From the coupler to the far end, out of the bearings, the coupler and the span that you chose. Check it against the maker's sheets of your parts before anyone cuts."
    >
      {!steps.value ? (
        <chakra.p color="quiet">{steps.ask}</chakra.p>
      ) : (
        <>
          <SideScroll>
            <chakra.table width="100%" fontSize="14px" minW="560px" aria-label="Steps of the screw">
              <thead>
                <tr>
                  <HeadCell>Step</HeadCell>
                  <HeadCell textAlign="right">Diameter</HeadCell>
                  <HeadCell>Tolerance</HeadCell>
                  <HeadCell textAlign="right">Length</HeadCell>
                  <HeadCell>To heed</HeadCell>
                </tr>
              </thead>
              <tbody>
                {steps.value.map(step => (
                  <tr key={step.name}>
                    <Cell>{step.name}</Cell>
                    <Cell textAlign="right">
                      <Figures>{length(step.diameterMm)}</Figures>
                    </Cell>
                    <Cell fontFamily="mono">{step.tolerance}</Cell>
                    <Cell textAlign="right">
                      <Figures>{length(step.lengthMm)}</Figures>
                    </Cell>
                    <Cell color="quiet">{step.note}</Cell>
                  </tr>
                ))}
                <chakra.tr fontWeight={700}>
                  <Cell>Whole length</Cell>
                  <Cell />
                  <Cell />
                  <Cell textAlign="right">
                    <Figures>{length(totalLengthMm(steps.value))}</Figures>
                  </Cell>
                  <Cell />
                </chakra.tr>
              </tbody>
            </chakra.table>
          </SideScroll>
          {fit && <chakra.p mt="2">{fit}</chakra.p>}
          <DrawingSheet drawing={screwDrawing(`${jobName}, ${axis.name}: screw`, steps.value)} />
        </>
      )}
    </Panel>
  )
}
