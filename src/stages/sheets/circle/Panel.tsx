import { radians } from '@/core/calculation/constants'
import { circleTest } from '@/core/sheets/circle/calculation'
import type { CircleRound } from '@/core/sheets/circle/model'
import { acrossOf, canTell, circleRounds } from '@/core/sheets/circle/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { Sheared } from './Sheared'

const SCENE = {
  label:
    'A round boss seen from above, measured across: at 0 degrees along this axis, at 90 along the other, at 45 and 135 between them',
  rounds: [{ x: 150, y: 66, r: 42 }],
  lines: [
    { from: [92, 66], to: [208, 66] },
    { from: [150, 12], to: [150, 120], dashed: true },
    { from: [114, 102], to: [186, 30], dashed: true },
  ],
  words: [
    { at: [212, 70], text: '0°, this axis' },
    { at: [156, 12], text: '90°' },
    { at: [188, 30], text: '45°' },
  ],
} as const

const FIELDS = [
  'otherAxis',
  'gaugeStepUm',
  'acceptedUmPerM',
  'sideMm',
  'diagonalReadToUm',
  'diagonalAMm',
  'diagonalBMm',
] as const

/** A circle and a square that the machine cut, measured across. */
export function CirclePanel() {
  return (
    <RoundPanel
      rounds={circleRounds}
      title="Circle and square"
      checks={['prove.circleSquare', 'prove.cutSquare', 'prove.circleScale']}
      fields={FIELDS}
      addLabel="Another direction"
      scene={SCENE}
      words="Cut a round boss as large as the machine and the calipers allow, in one pass round with a sharp cutter and little to take, climbing or conventional all the way. Guard on, hands clear, chips off with a brush. Mark 0 along this axis before it comes off. Measure across every thirty degrees, the widest each time. Longest across 45 or 135: the axes are not square. Longest along one axis: its scale is off. Small flats where an axis reverses are play. A square cut under the boss says the same by its two diagonals: one of the two is enough."
      also={<ToCut />}
      picture={round => (
        <>
          <Across round={round} />
          <Sheared round={round} />
        </>
      )}
    />
  )
}

/** The sheet by which the part is cut and measured. */
function ToCut() {
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  return (
    <div>
      <PlaceButton variant="outline" place={{ jobId, axisId, stage: 'cutPart' }}>
        How to cut and measure it, to print
      </PlaceButton>
    </div>
  )
}

/** So finely the curve is drawn. */
const EVERY_DEG = 15

function Across({ round }: { round: CircleRound }) {
  const units = useUnits()
  const across = acrossOf(round)
  if (!canTell(across)) return null
  const { perUnit, unit, decimals } = quantityFacts('smallLength')[units]
  const { meanDiameterMm, scaleDifferenceUmPerM, squarenessUmPerM } = circleTest({ diameters: across })
  const fittedAt = (angleDeg: number) => {
    const twice = radians(2 * angleDeg)
    const waveUm =
      ((scaleDifferenceUmPerM * Math.cos(twice) + squarenessUmPerM * Math.sin(twice)) * meanDiameterMm) / 2000
    return waveUm / perUnit
  }
  const drawn = new Set([
    ...Array.from({ length: 180 / EVERY_DEG + 1 }, (_, index) => index * EVERY_DEG),
    ...across.map(({ angleDeg }) => angleDeg),
  ])
  return (
    <LineFigure
      label="Chart of the diameters less their mean over the direction, with the wave through them"
      rows={[...drawn]
        .toSorted((a, b) => a - b)
        .map(direction => {
          const read = across.find(({ angleDeg }) => angleDeg === direction)
          return {
            direction,
            read: read ? ((read.diameterMm - meanDiameterMm) * 1000) / perUnit : null,
            fit: fittedAt(direction),
          }
        })}
      x={{ key: 'direction', label: 'direction, °' }}
      y={{ label: unit, decimals }}
      series={[
        { key: 'read', name: 'read, less the mean', color: chartColors.lamp, points: true },
        { key: 'fit', name: 'scale and square', color: chartColors.ink, dash: '5 4' },
      ]}
    />
  )
}
