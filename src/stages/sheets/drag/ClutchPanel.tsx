import { chakra } from '@chakra-ui/react'
import type { Job } from '@/core/document/job'
import { CLUTCH_PULLS, SHOP } from '@/core/document/shop'
import { clutchTorque } from '@/core/sheets/drag/calculation'
import { calibrationOf } from '@/core/sheets/drag/rounds'
import { say } from '@/core/units/print'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Panel } from '@/ui/Panel'
import { DataTable } from '@/ui/table/DataTable'
import { RowsTable } from '@/ui/table/RowsTable'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useJobRows } from '../../job/useRows'

const pullsOf = (job: Job) => job.shop.clutchPulls
const next = (rows: readonly { setting: number }[]) => ({ setting: (rows.at(-1)?.setting ?? -3) + 4 })
/** A torque that is known no better than this share of a step is said with it. */
const SHOWN = 8

/** A drill's clutch against a spring scale, once for each drill: from then on a setting is a torque. */
export function ClutchPanel() {
  const pulls = useJobRows(CLUTCH_PULLS, pullsOf, next)
  const shop = useJob(job => job.shop)
  const units = useUnits()
  const edit = useEdit()
  const calibrated = calibrationOf(shop)
  const settings = [...new Set(calibrated?.calibration.map(({ setting }) => setting) ?? [])]
    .toSorted((a, b) => a - b)
    .slice(0, SHOWN)
  return (
    <Panel
      title="Drill’s clutch"
      note="Chuck a bar in the drill and hook the spring scale to it, square to the bar. At a few settings of the clutch hold the bar still with the scale until the clutch slips, and note the pull. Once for each drill and battery; a worn clutch is read again."
    >
      <chakra.div maxW="240px" mb="3">
        <FieldInput
          field={SHOP.of.clutchLeverMm}
          value={shop.clutchLeverMm}
          units={units}
          onValue={(value, mergeKey) =>
            edit({
              label: SHOP.of.clutchLeverMm.label,
              mergeKey,
              run: job => {
                job.shop.clutchLeverMm = value as number
              },
            })
          }
        />
      </chakra.div>
      <RowsTable {...pulls} units={units} addLabel="Another setting" />
      {calibrated && (
        <chakra.div mt="3" maxW="440px">
          <DataTable
            label="What each setting turns with"
            columns={[
              { id: 'setting', head: 'Setting', cell: row => String(row.setting) },
              { id: 'torque', head: 'Torque', figures: true, cell: row => row.torque },
            ]}
            rows={settings.map(setting => {
              const { torqueNm, standardErrorNm } = clutchTorque({ ...calibrated, setting })
              return {
                setting,
                torque: `${say(torqueNm, 'torque', units, 2)}${standardErrorNm === null ? '' : ` ± ${say(2 * standardErrorNm, 'torque', units, 2)}`}`,
              }
            })}
            rowId={row => String(row.setting)}
          />
        </chakra.div>
      )}
    </Panel>
  )
}
