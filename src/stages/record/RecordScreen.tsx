import { chakra } from '@chakra-ui/react'
import { DIMENSION_KEYS, DIMENSIONS, GOAL_KEYS, GOALS } from '@/core/document/dimensions'
import { linesOfAxis, openFixes } from '@/core/document/logLines'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { neededParts } from '@/core/machine/neededParts'
import { paperOf } from '@/core/sheets/paper'
import { procedure } from '@/core/sheets/steps/procedure'
import { dayWords, momentWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { useEntries } from '@/store/hooks'
import { useJob, whole } from '../job/JobContext'
import { useEvaluation } from '../job/useEvaluation'
import { Block, Pairs, PaperBlocks, PaperScreen, Td } from './paper'

const LINES_OF_LOG = 14
const PROVENANCE_MARKS = { measured: '', sheet: ' (sheet)', assumed: ' (assumed)' }

/** The record of an axis on paper: what it is, what was found, what was read, what is still open. */
export function RecordScreen({ onBack }: { onBack: () => void }) {
  const context = useEvaluation()
  const { axis, catalogue, units, findings } = context
  const job = useJob(whole)
  const entries = useEntries(job.id) ?? []
  const own = linesOfAxis(entries, axis.id)
  const fixes = openFixes(own)
  const steps = procedure(context) ?? []
  const open = steps.filter(step => !axis.ticks[step.id])
  return (
    <PaperScreen
      title={`${job.name}, axis ${axis.name}: ${axis.title}`}
      backLabel="Back to the log"
      printLabel="Print the record"
      onBack={onBack}
    >
      <Block title="Findings">
        <table>
          <tbody>
            {findings.map(finding => (
              <tr key={finding.checkId}>
                <Td width="24%">
                  <b>{finding.title}</b>
                </Td>
                <Td width="14%">
                  <b>{STATE_WORDS[finding.state]}</b>
                </Td>
                <Td>{finding.sentence}</Td>
              </tr>
            ))}
          </tbody>
        </table>
      </Block>

      <chakra.div
        display="grid"
        columnGap="6"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' }}
        css={{ '@media print': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' } }}
      >
        <Block title="Parts">
          <Pairs
            rows={[
              ...neededParts(axis).map((kind): [string, string] => [
                kind,
                catalogue[kind].get(axis.parts[kind] ?? '')?.name ?? 'not chosen',
              ]),
              ['ends', axis.ends],
            ]}
          />
        </Block>
        <Block title="Wanted">
          <Pairs
            rows={GOAL_KEYS.map(key => [GOALS[key].label, say(axis.goals[key], GOALS[key].quantity, units)])}
          />
        </Block>
        <Block title="Measured">
          <Pairs
            rows={DIMENSION_KEYS.map(key => {
              const { value, provenance } = axis.dimensions[key]
              return [
                DIMENSIONS[key].label,
                value === null
                  ? 'not known'
                  : say(value, DIMENSIONS[key].quantity, units) + PROVENANCE_MARKS[provenance],
              ]
            })}
          />
        </Block>
        <Block title="Build">
          <p>
            {steps.length === 0
              ? 'No parts chosen.'
              : `${steps.length - open.length} of ${steps.length} steps done.`}
            {open.length > 0 && ` Next: ${open[0]?.title.toLowerCase()}.`}
          </p>
        </Block>
      </chakra.div>

      <PaperBlocks blocks={paperOf(context, 'record')} />

      <Block title={`Temporary fixes still open: ${fixes.length}`}>
        {fixes.map(entry => (
          <p key={entry.id}>
            {dayWords(entry.at)}: {entry.text}
          </p>
        ))}
      </Block>

      <Block title="Log, latest first">
        {own
          .toReversed()
          .slice(0, LINES_OF_LOG)
          .map(entry => (
            <p key={entry.id}>
              {momentWords(entry.at)}: {entry.text.length > 240 ? `${entry.text.slice(0, 237)}…` : entry.text}
            </p>
          ))}
        {own.length > LINES_OF_LOG && <p>and {own.length - LINES_OF_LOG} earlier lines in the job file.</p>}
      </Block>
      <chakra.p mt="2" fontSize="11px">
        Figures are reckoned from the values above; those marked assumed were not measured. They do not
        replace a maker's sheet or the judgement of a qualified engineer. Electrical work and guarding follow
        local codes.
      </chakra.p>
    </PaperScreen>
  )
}
