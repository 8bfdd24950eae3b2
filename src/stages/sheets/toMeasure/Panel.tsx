import { chakra } from '@chakra-ui/react'
import { DIMENSIONS } from '@/core/document/dimensions'
import { inItsWord } from '@/core/machine/movingPart'
import { outsideField, placeOfDimension } from '@/core/sheets/dimensionPlace'
import { measuringDrawing, passesOf, type Reading } from '@/core/sheets/toMeasure/drawing'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { DrawingView } from '@/ui/drawings/DrawingView'
import { Note } from '@/ui/Note'
import { Figures, Panel } from '@/ui/Panel'
import { useJob, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useSettledAxis } from '../../job/useAxis'

/** What is still to be measured, in the two passes in which it shows, with how; and where the calipers go. */
export function ToMeasurePanel() {
  const { whole, apart, planned } = passesOf(useSettledAxis())
  // What is read from outside first is measured again once it is apart.
  const open = [...whole.filter(({ isFromOutside }) => !isFromOutside), ...apart]
  if (open.length + planned.length === 0)
    return (
      <Panel title="Still to measure: nothing">
        <chakra.p color="quiet">Every dimension is measured or from a sheet.</chakra.p>
      </Panel>
    )
  return (
    <>
      <Panel
        title={`Still to measure: ${open.length === 0 ? 'nothing' : open.length}`}
        note={
          open.length > 0
            ? 'Castings of one model differ. Until these are measured, verdicts rest on assumed values. Printed, this is the list to take along.'
            : undefined
        }
      >
        <chakra.div display="grid" gap="4">
          <Pass title="Before anything is apart" readings={whole} />
          <Pass title="Once it is apart" readings={apart} />
          <DrawingView
            drawing={measuringDrawing([...open, ...planned])}
            label="Where each letter is read, not to scale"
          />
        </chakra.div>
      </Panel>
      {planned.length > 0 && <Planned readings={planned} />}
    </>
  )
}

const Letter = ({ children }: { children: string }) => (
  <chakra.b fontFamily="mono" color="lamp" fontSize="17px" width="22px" flexShrink={0} pt="2">
    {children}
  </chakra.b>
)

function Pass({ title, readings }: { title: string; readings: readonly Reading[] }) {
  const axis = useSettledAxis()
  const units = useUnits()
  const jobId = useJob(job => job.id)
  if (readings.length === 0) return null
  return (
    <section aria-label={title}>
      <chakra.h3 fontWeight={700} mb="2">
        {title}: {readings.length}
      </chakra.h3>
      <chakra.ul display="grid" gap="2">
        {readings.map(({ key, letter, isFromOutside }) => (
          <chakra.li key={key} display="flex" gap="2">
            <Letter>{letter}</Letter>
            <div>
              <PlaceButton
                data-words
                variant="outline"
                place={{
                  jobId,
                  axisId: axis.id,
                  ...placeOfDimension(key),
                  field: isFromOutside ? outsideField(key) : key,
                }}
              >
                {(isFromOutside && DIMENSIONS[key].outside?.label) || DIMENSIONS[key].label}
              </PlaceButton>
              <Note>
                {inItsWord((isFromOutside && DIMENSIONS[key].outside?.help) || DIMENSIONS[key].help, axis)}
              </Note>
              <Blank unit={quantityFacts(DIMENSIONS[key].quantity)[units].unit} />
            </div>
          </chakra.li>
        ))}
      </chakra.ul>
    </section>
  )
}

/** On paper, a place for what is read. */
const Blank = ({ unit }: { unit: string }) => (
  <chakra.p display="none" css={{ '@media print': { display: 'block', mt: '6px' } }}>
    Read: ______________ {unit}
  </chakra.p>
)

/** What nobody can measure yet: it goes by the plan until the part is made. */
function Planned({ readings }: { readings: readonly Reading[] }) {
  const axis = useSettledAxis()
  const units = useUnits()
  const jobId = useJob(job => job.id)
  return (
    <Panel
      title="By the plan, until it is made"
      note="Nobody can measure what is not there yet. Once the part is fitted, it stands in the list above."
    >
      <chakra.ul display="grid" gap="1">
        {readings.map(({ key, letter }) => (
          <chakra.li key={key} display="flex" gap="2" alignItems="center">
            <Letter>{letter}</Letter>
            <PlaceButton
              data-words
              variant="quiet"
              place={{ jobId, axisId: axis.id, ...placeOfDimension(key), field: key }}
            >
              {DIMENSIONS[key].label}
            </PlaceButton>
            <Figures>{say(axis.dimensions[key].value ?? 0, DIMENSIONS[key].quantity, units)}</Figures>
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}
