import { DRIVE, hasBelt, turnsNut } from '@/core/document/axis'
import { DRIVE_SIZES, type DriveSizeKey } from '@/core/document/dimensions'
import { setCurrent, setDrive, setDriveSize } from '@/core/machine/driveEdits'
import { NOT_HERE } from '@/core/sheets/drive/notHere'
import { Columns } from '@/ui/Columns'
import { Fold } from '@/ui/Fold'
import { SelectField } from '@/ui/fields/SelectField'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { AxisField } from '../../job/AxisField'
import { useEdit } from '../../job/JobContext'
import { useSettledAxis } from '../../job/useAxis'

const TRANSMISSION_OPTIONS = [
  { value: 'direct', label: 'by a coupler' },
  { value: 'belt', label: 'by a toothed belt' },
  { value: 'nut', label: 'by a belt to a nut that turns' },
] as const
const DRIVEN_WORDS = {
  direct: 'Driven by a coupler',
  belt: 'Driven by a belt',
  nut: 'A belt turns the nut',
} as const
const SCREW_OPTIONS = [
  { value: '1', label: 'one' },
  { value: '2', label: 'two, sharing a gantry' },
] as const
const HANDWHEEL_OPTIONS = [
  { value: 'off', label: 'taken off' },
  { value: 'kept', label: 'kept' },
] as const
const LEAD_OPTIONS = [
  { value: 'class', label: 'as its class allows' },
  { value: 'table', label: 'to be measured, and corrected from a table' },
] as const
const MICROSTEPS = ['1', '2', '4', '8', '10', '16', '32', '64', '128', '256'] as const

/** How the motor turns the screw, how many screws there are, and whether the handwheel stays. */
export function DrivePanel() {
  const axis = useSettledAxis()
  const edit = useEdit()
  const { transmission, screws, handwheelKept, microsteps, leadTable } = axis.drive
  const microstepOptions = [...new Set([...MICROSTEPS, String(microsteps)])].map(value => ({
    value,
    label: value === '1' ? 'full steps' : `${value} to a step`,
  }))
  return (
    <Panel title="Kind of drive">
      <Columns leastPx={176}>
        <SelectField
          label="Motor to screw"
          value={transmission}
          options={TRANSMISSION_OPTIONS}
          onChange={value => edit(setDrive(axis, { transmission: value }, DRIVEN_WORDS[value]))}
        />
        {hasBelt(axis.drive) && <SizeField size="beltCentresMm" />}
        <SelectField
          label="Screws"
          value={screws === 2 ? '2' : '1'}
          options={SCREW_OPTIONS}
          onChange={value =>
            edit(
              setDrive(axis, { screws: value === '2' ? 2 : 1 }, value === '2' ? 'Two screws' : 'One screw'),
            )
          }
        />
        {screws === 2 && <SizeField size="screwSpacingMm" />}
        {screws === 2 && <SizeField size="offCentreMm" />}
        <SelectField
          label="Handwheel"
          value={handwheelKept ? 'kept' : 'off'}
          options={HANDWHEEL_OPTIONS}
          onChange={value =>
            edit(
              setDrive(
                axis,
                { handwheelKept: value === 'kept' },
                value === 'kept' ? 'Handwheel kept' : 'Handwheel taken off',
              ),
            )
          }
        />
        {handwheelKept && <SizeField size="handwheelRadiusMm" />}
        {handwheelKept && <SizeField size="handwheelHubMm" />}
        <SelectField
          label="Microsteps of the driver"
          value={String(microsteps)}
          options={microstepOptions}
          onChange={value => edit(setDrive(axis, { microsteps: Number(value) }, `Microsteps: ${value}`))}
        />
        <AxisField
          field={DRIVE.of.currentA}
          select={of => of.drive.currentA}
          edit={(of, value, mergeKey) => setCurrent(of, value, mergeKey)}
        />
        <SelectField
          label="Lead of the screw"
          value={leadTable ? 'table' : 'class'}
          options={LEAD_OPTIONS}
          onChange={value =>
            edit(
              setDrive(
                axis,
                { leadTable: value === 'table' },
                value === 'table' ? 'Lead to be corrected from a table' : 'Lead as its class allows',
              ),
            )
          }
        />
      </Columns>
      {turnsNut(axis.drive) && (
        <Stated mt="2">
          The screw is clamped at both ends and stands; the nut turns in bearings of its own, in a housing
          under the slide, with the motor beside it. All of that rides along: count its weight as moved.
          “Bearings” are the set that the nut turns in. The steps of the build are not listed for it.
        </Stated>
      )}
      <Fold name="A drive that is not here">
        <Stated as="ul" pl="5" listStyleType="disc">
          {NOT_HERE.map(({ what, nearest }) => (
            <li key={what}>
              <strong>{what}</strong> is not reckoned here. Nearest to it: {nearest}
            </li>
          ))}
        </Stated>
      </Fold>
    </Panel>
  )
}

function SizeField({ size }: { size: DriveSizeKey }) {
  return (
    <AxisField
      field={DRIVE_SIZES[size]}
      select={axis => axis.driveSizes[size]}
      edit={(axis, value, mergeKey) => setDriveSize(axis, size, value, mergeKey)}
    />
  )
}
