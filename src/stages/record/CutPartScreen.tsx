import { chakra } from '@chakra-ui/react'
import { circleRounds } from '@/core/sheets/circle/rounds'
import { lastRound } from '@/core/sheets/shared/rounds/rounds'
import { say } from '@/core/units/print'
import { CutPartDrawing } from '@/ui/drawings/CutPartDrawing'
import { useJob } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { Block, PaperScreen, Td } from './paper'

/** A blank of this side is what most vices and calipers take. */
const USUAL_SIDE_MM = 100
/** The round boss stands so far inside the square. */
const BOSS_SHARE = 0.9
const DIRECTIONS = [0, 30, 60, 90, 120, 150]

/** The part that shows how square two axes are and how alike their scales: how to cut it, how to measure it, and where to write it down. */
export function CutPartScreen({ onBack }: { onBack: () => void }) {
  const { axis, units } = useEvaluation()
  const machine = useJob(job => job.name)
  const round = lastRound(circleRounds, axis)
  const sideMm = round?.sideMm ?? USUAL_SIDE_MM
  const other = round?.otherAxis ?? 'the other axis'
  const length = (mm: number) => say(mm, 'length', units, units === 'mm' ? 1 : 3)
  const bossMm = BOSS_SHARE * sideMm
  const steps = [
    `Hold a flat blank of aluminium or hard plastic, a little larger than ${length(sideMm)} each way, so that nothing of the vice stands in the way of the cutter. Guard on, hands clear, chips off with a brush.`,
    `Mark the plus side of ${axis.name} and of ${other} on the blank before anything is cut, and number the corners as drawn.`,
    `Cut the square first: ${length(sideMm)} each side, once round, a sharp cutter, the same depth, climbing or conventional all the way. Then the round boss on top of it, ${length(bossMm)} across, in the same way.`,
    'Finish both with a last pass round that takes next to nothing, without stopping. Do not touch zero between them.',
    'Let the part cool, break the edges with a stone, and leave it in one place with the calipers until both are alike warm.',
    'Measure the boss across in every direction below, the widest each time. Measure the two diagonals of the square over its corners, or better over two pins of one size in drilled corners.',
    'Type them in under Circle and square. Flats on the boss where an axis turns are play, not square.',
  ]
  return (
    <PaperScreen
      title={`Part to cut: ${machine}, ${axis.name} and ${other}`}
      backLabel="Back to circle and square"
      printLabel="Print the sheet"
      onBack={onBack}
    >
      <chakra.div
        display="grid"
        gap="4"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 1fr)' }}
        css={{ '@media print': { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' } }}
      >
        <CutPartDrawing
          axis={axis.name}
          other={round?.otherAxis ?? 'other'}
          side={length(sideMm)}
          boss={length(bossMm)}
        />
        <Block title="Measured">
          <table>
            <tbody>
              {DIRECTIONS.map(direction => (
                <tr key={direction}>
                  <Td height="30px">Boss across, {direction}°</Td>
                  <Td width="45%" />
                </tr>
              ))}
              <tr>
                <Td height="30px">Diagonal 1 to 3</Td>
                <Td />
              </tr>
              <tr>
                <Td height="30px">Diagonal 2 to 4</Td>
                <Td />
              </tr>
              <tr>
                <Td height="30px">Calipers, their step</Td>
                <Td />
              </tr>
              <tr>
                <Td height="30px">Day, temperature, who</Td>
                <Td />
              </tr>
            </tbody>
          </table>
        </Block>
      </chakra.div>
      <Block title="How to cut and measure it">
        <chakra.ol pl="5" listStyleType="decimal">
          {steps.map(step => (
            <chakra.li key={step} mb="1">
              {step}
            </chakra.li>
          ))}
        </chakra.ol>
      </Block>
    </PaperScreen>
  )
}
