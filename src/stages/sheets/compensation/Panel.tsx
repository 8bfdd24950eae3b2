import { chakra } from '@chakra-ui/react'
import { compensable } from '@/core/diagnose/compensable'
import { onAxis } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import { writeCsv } from '@/core/formats/csv'
import { fileName } from '@/core/formats/fileName'
import { COMPENSATION } from '@/core/sheets/compensation/model'
import { printField, say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Panel, SideScroll } from '@/ui/Panel'
import { CopyTable } from '@/ui/table/CopyTable'
import { DataTable } from '@/ui/table/DataTable'
import { CsvStyleField, useCsvStyle } from '../../job/CsvStyleField'
import { download } from '../../job/download'
import { useEdit, useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { SavedLines } from '../../job/SavedLines'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

/** What a controller can put right, or why something is to be mended first. */
export function CompensationPanel() {
  const context = useSettledEvaluation()
  const { axis, units } = context
  const edit = useEdit()
  const axisNow = useAxisNow()
  const machine = useJob(job => job.name)
  const jobId = useJob(job => job.id)
  const [style, setStyle] = useCsvStyle()
  // The field holds what is typed; all that follows of it waits until the typing rests.
  const spacingMm = useAxis(one => one.compensation.spacingMm)
  const found = attempt(() => compensable(context))
  if (!found.value?.ok)
    return (
      <Panel
        title="Compensation"
        note="Mend first, compensate last: a controller takes out what is the same every time, and nothing else."
      >
        <chakra.p data-refused>
          <strong>Not yet.</strong> {found.value?.why ?? found.ask}
        </chakra.p>
        <chakra.div display="flex" gap="2" flexWrap="wrap" mt="2">
          <PlaceButton
            variant="outline"
            place={{ jobId, axisId: axis.id, stage: 'prove', sheet: 'fullTest' }}
          >
            Full test
          </PlaceButton>
          <PlaceButton
            variant="outline"
            place={{ jobId, axisId: axis.id, stage: 'prove', sheet: 'findFault' }}
          >
            Find the fault
          </PlaceButton>
        </chakra.div>
      </Panel>
    )
  const { figures, untested, backlashUm, leftUm, said } = found.value
  const [length, small] = [quantityFacts('length')[units], quantityFacts('smallLength')[units]]
  const rows = figures.corrections
  const decimals = 3
  const head = [`Position, ${length.unit}`, `Correction, ${length.unit}`]
  const inLength = (um: number) => (um / 1000 / length.perUnit).toFixed(decimals + (units === 'inch' ? 2 : 1))
  const lines = rows.map(({ positionMm, correctionUm }) => [
    (positionMm / length.perUnit).toFixed(decimals),
    inLength(correctionUm),
  ])
  const name = (ending: string) => fileName(`${machine} ${axis.name} corrections`, ending)
  const words = (um: number) => say(um, 'smallLength', units)
  return (
    <Panel
      title="Compensation"
      note="Enter the backlash, then the table, and run the full test again: what is left shows whether the signs are right. A correction is added to the command; a controller that takes errors wants the other sign."
    >
      <chakra.p data-backlash>
        Backlash <strong>{words(backlashUm)}</strong> ({printField(backlashUm / 1000, 'length', units)}{' '}
        {length.unit}), and {rows.length} corrections. With both, the means would stand within{' '}
        <strong>{words(leftUm)}</strong>. {said}
      </chakra.p>
      {untested && (
        <chakra.p color="close" mt="1">
          Not read yet: {untested}. A play that changes with it is not to be compensated.
        </chakra.p>
      )}
      <chakra.div display="flex" gap="4" flexWrap="wrap" my="2">
        <FieldInput
          field={COMPENSATION.of.spacingMm}
          value={spacingMm}
          units={units}
          onValue={(value, mergeKey) =>
            value !== null &&
            edit(
              onAxis(
                axisNow(),
                COMPENSATION.of.spacingMm.label,
                draft => {
                  draft.compensation.spacingMm = value as number
                },
                { mergeKey },
              ),
            )
          }
        />
        <CsvStyleField style={style} onStyle={setStyle} />
      </chakra.div>
      <SavedLines
        name="corrections"
        label="Chart of the corrections along the travel"
        rows={rows.map(({ positionMm, correctionUm }) => ({
          place: positionMm / length.perUnit,
          correction: correctionUm / small.perUnit,
        }))}
        x={{ key: 'place', label: `position, ${length.unit}` }}
        y={{ label: small.unit, decimals: small.decimals }}
        series={[{ key: 'correction', name: 'correction', color: chartColors.lamp }]}
      />
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="center" my="2">
        <Button
          variant="outline"
          onClick={() =>
            download(
              name('csv'),
              writeCsv(
                head,
                lines.map(line => line.map(Number)),
                style,
              ),
              'text/csv',
            )
          }
        >
          Save as a table (CSV)
        </Button>
        <Button
          variant="outline"
          onClick={() =>
            download(name('txt'), `${lines.map(line => line.join(' ')).join('\n')}\n`, 'text/plain')
          }
        >
          Save as plain lines
        </Button>
        <CopyTable label="the corrections" cells={() => [head, ...lines]} />
      </chakra.div>
      <SideScroll maxH="320px" overflowY="auto" tabIndex={0} role="region" aria-label="Table of corrections">
        <DataTable
          label="Corrections"
          columns={[
            { id: 'at', head: head[0] as string, figures: true, cell: (line: string[]) => line[0] },
            { id: 'correction', head: head[1] as string, figures: true, cell: (line: string[]) => line[1] },
          ]}
          rows={lines}
          rowId={line => line[0] as string}
        />
      </SideScroll>
    </Panel>
  )
}
