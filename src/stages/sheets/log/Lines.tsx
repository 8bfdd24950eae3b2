import { chakra } from '@chakra-ui/react'
import { Pencil, Trash2 } from 'lucide-react'
import { type FormEvent, useDeferredValue, useMemo, useState } from 'react'
import { LONGEST_LINE, type LogEntry } from '@/core/document/job'
import { correctLine, deleteLine } from '@/core/document/logEdits'
import {
  findLines,
  isWritten,
  type LogLine,
  type LogSought,
  logLines,
  writtenAt,
} from '@/core/document/logLines'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { LongTextField } from '@/ui/fields/LongTextField'
import { SelectField } from '@/ui/fields/SelectField'
import { TextField } from '@/ui/fields/TextField'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { VirtualList } from '@/ui/VirtualList'
import { useEdit, useJob } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { KIND_WORDS } from './words'

const ALL = 'all'
/** @example counted(12345) // '12,345' */
const counted = (count: number) => count.toLocaleString('en')
const KINDS = Object.keys(KIND_WORDS) as LogEntry['kind'][]

/** All that happened, newest first: found by words, axis, kind and day; what the builder wrote can be worded otherwise. */
export function Lines({ entries }: { entries: readonly LogEntry[] }) {
  const axisId = useAxis(axis => axis.id)
  const axes = useJob(job => job.axes)
  const [sought, setSought] = useState<LogSought>({ words: '', axisId, kind: null, fromDay: '', toDay: '' })
  // Another axis was gone to: its lines are shown, unless all of them were asked for.
  const [wasOn, setWasOn] = useState(axisId)
  if (wasOn !== axisId) {
    setWasOn(axisId)
    setSought(so => ({ ...so, axisId: so.axisId === null ? null : axisId }))
  }
  const lines = useMemo(() => logLines(entries), [entries])
  // Keys are answered before a long log is looked through.
  const asked = useDeferredValue(sought)
  const found = useMemo(() => findLines(lines, asked), [lines, asked])
  const [inHand, setInHand] = useState<string | null>(null)
  const set = (change: Partial<LogSought>) => setSought(so => ({ ...so, ...change }))
  const names = new Map(axes.map(({ id, name }) => [id, name]))
  const isSought = sought.words || sought.kind || sought.fromDay || sought.toDay
  return (
    <Panel
      title="What happened"
      action={
        <Stated as="span" role="status" color="quiet">
          {found.length === lines.length
            ? `${counted(lines.length)} lines`
            : `${counted(found.length)} of ${counted(lines.length)} lines`}
        </Stated>
      }
    >
      <chakra.div
        display="grid"
        gridTemplateColumns="repeat(auto-fill, minmax(138px, 1fr))"
        gap="2"
        alignItems="end"
        mb="2"
      >
        <TextField
          label="Words in it"
          value={sought.words}
          onChange={event => set({ words: event.currentTarget.value })}
        />
        <SelectField
          label="Axis"
          value={sought.axisId ?? ALL}
          options={[
            ...axes.map(({ id, name }) => ({ value: id, label: `${name}, and machine` })),
            { value: ALL, label: 'All of them' },
          ]}
          onChange={value => set({ axisId: value === ALL ? null : value })}
        />
        <SelectField
          label="Kind"
          value={sought.kind ?? ALL}
          options={[
            { value: ALL, label: 'Every kind' },
            ...KINDS.map(kind => ({ value: kind, label: KIND_WORDS[kind] })),
          ]}
          onChange={value => set({ kind: value === ALL ? null : (value as LogEntry['kind']) })}
        />
        <TextField
          type="date"
          label="From day"
          value={sought.fromDay}
          onChange={event => set({ fromDay: event.currentTarget.value })}
        />
        <TextField
          type="date"
          label="To day"
          value={sought.toDay}
          onChange={event => set({ toDay: event.currentTarget.value })}
        />
        {isSought && (
          <Button variant="quiet" onClick={() => set({ words: '', kind: null, fromDay: '', toDay: '' })}>
            Show all again
          </Button>
        )}
      </chakra.div>
      {found.length === 0 ? (
        <Note>
          {lines.length === 0
            ? 'Nothing yet. Parts chosen, steps ticked, rounds and tests enter themselves here.'
            : 'No line goes with all of that.'}
        </Note>
      ) : (
        <VirtualList label="Lines of the log" rows={found} rowId={({ entry }) => entry.id} estimatePx={46}>
          {line =>
            inHand === line.entry.id ? (
              <Wording line={line} onDone={() => setInHand(null)} />
            ) : (
              <Line
                line={line}
                of={asked.axisId === null ? (names.get(line.entry.axisId ?? '') ?? 'machine') : undefined}
                onWord={() => setInHand(line.entry.id)}
              />
            )
          }
        </VirtualList>
      )}
    </Panel>
  )
}

/** One line, with what it said before. */
function Line({ line, of, onWord }: { line: LogLine; of: string | undefined; onWord: () => void }) {
  const edit = useEdit()
  const { entry, before } = line
  return (
    <Stated
      data-line={entry.kind}
      display="grid"
      gridTemplateColumns={{ base: '1fr auto', md: '175px 105px 1fr auto' }}
      columnGap="3"
      borderTopWidth="1px"
      py="1.5"
      alignItems="baseline"
    >
      <chakra.span color="quiet" fontFamily="mono" fontSize="13px">
        {momentWords(writtenAt(line))}
      </chakra.span>
      <chakra.span color="quiet">
        {KIND_WORDS[entry.kind]}
        {of && `, ${of}`}
      </chakra.span>
      <chakra.div gridColumn={{ base: '1 / 2', md: 'auto' }} overflowWrap="anywhere">
        {entry.text}
        {before.map(({ id, text }, index) => (
          <Note key={id} as="div" data-said-before>
            {`Until ${momentWords((before[index - 1] ?? entry).at)} it said: ${text}`}
          </Note>
        ))}
      </chakra.div>
      <chakra.span display="inline-flex">
        {line.mayBeWorded && (
          <Button variant="quiet" px="2" aria-label={`Word otherwise: ${entry.text}`} onClick={onWord}>
            <Pencil size={16} aria-hidden />
          </Button>
        )}
        {isWritten(entry) && (
          <Button
            variant="quiet"
            px="2"
            aria-label={`Delete: ${entry.text}`}
            onClick={() => edit(deleteLine(line))}
          >
            <Trash2 size={16} aria-hidden />
          </Button>
        )}
      </chakra.span>
    </Stated>
  )
}

/** A line while it is worded otherwise. */
function Wording({ line: { entry }, onDone }: { line: LogLine; onDone: () => void }) {
  const edit = useEdit()
  const [text, setText] = useState(entry.text)
  const [error, setError] = useState<string>()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const said = text.trim()
    if (said === '' || said.length > LONGEST_LINE)
      return setError(
        `Type what happened: got ${said === '' ? 'nothing' : `${said.length} characters`}, takes 1 to ${LONGEST_LINE} characters.`,
      )
    if (said !== entry.text) edit(correctLine(entry, said))
    onDone()
  }
  return (
    <chakra.form
      onSubmit={submit}
      onKeyDown={event => event.key === 'Escape' && onDone()}
      borderTopWidth="1px"
      py="2"
      pr="1"
    >
      <LongTextField
        label="As it should say"
        autoFocus
        value={text}
        error={error}
        onChange={event => setText(event.currentTarget.value)}
      />
      <chakra.div display="flex" gap="2" mt="2">
        <Button type="submit" variant="lamp">
          Keep it so
        </Button>
        <Button variant="quiet" onClick={onDone}>
          Leave it as it was
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
