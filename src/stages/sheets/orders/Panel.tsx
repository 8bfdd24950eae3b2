import { chakra } from '@chakra-ui/react'
import { FileUp } from 'lucide-react'
import { useCallback, useState } from 'react'
import { type Job, ORDER_STATES, ORDERS, type OrderState } from '@/core/document/job'
import { setDueDay, setOrderStates, takeQuotes } from '@/core/orders/orderEdits'
import { type OrderLine, orderList, totalEurOf } from '@/core/orders/orders'
import { MOODS, type Mood, type Quote } from '@/core/orders/supplier'
import { money, say } from '@/core/units/print'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { FilePicker } from '@/ui/FilePicker'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { TableFiles } from '../../job/TableFiles'
import { useSettledResult } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { useTextOf } from '../../job/useTextOf'
import { MoneyField } from './MoneyField'

const STATES = ORDER_STATES.map(value => ({ value, label: value }))
const MOOD_CHOICES = MOODS.map(value => ({ value, label: value }))
const NEEDED_BY = { room: 'Make room', build: 'Build' } as const

/** The day by the clock of the builder, as a file has it: 2026-11-26. */
const today = () => new Date().toLocaleDateString('sv')

/** Asks the supplier that ships with the app. @throws Error that says what it answered instead */
async function ask(lines: OrderLine[], mood: Mood): Promise<Quote[]> {
  const answer = await fetch('/api/supplier', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ mood, items: lines.map(({ key, sheetEur }) => ({ key, sheetEur })) }),
  }).catch(() => {
    throw new Error('The supplier cannot be reached: it lives on the server, which does not answer.')
  })
  const body = (await answer.json()) as { quotes?: Quote[]; error?: string }
  if (!answer.ok || !body.quotes) throw new Error(body.error ?? `It answered with ${answer.status}.`)
  return body.quotes
}

/** What the whole machine needs: asked for, ordered, arrived or missing, with prices and lead times. */
export function OrdersPanel() {
  // When the typing rests: what a key changes in one table is not reckoned for the whole machine at each stroke.
  const catalogue = useCatalogue()
  const lines = useSettledResult(useCallback((job: Job) => orderList(job, catalogue), [catalogue]))
  const jobName = useJob(job => job.name)
  const units = useUnits()
  const edit = useEdit()
  const [mood, setMood] = useState<Mood>('as usual')
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null)
  const [asking, setAsking] = useState(false)
  const { textOf, ask: askLetters } = useTextOf()

  const askNow = async () => {
    setAsking(true)
    try {
      const quotes = await ask(lines, mood)
      edit(takeQuotes(quotes))
      const lacking = lines.length - quotes.length
      setSaid({
        bad: lacking > 0,
        text:
          lacking > 0
            ? `It has ${quotes.length} of ${lines.length}; what it lacks stays as it was.`
            : `It has all ${quotes.length}.`,
      })
    } catch (error) {
      setSaid({
        bad: true,
        text: `${errorWords(error)} Nothing was changed: the prices here are those of before.`,
      })
    }
    setAsking(false)
  }
  const take = async (file: File) => {
    const [{ readOrdersCsv }, { refuseLargeCsv }] = await Promise.all([
      import('@/core/formats/ordersCsv'),
      import('@/core/formats/csv'),
    ])
    try {
      refuseLargeCsv(file.size)
      const text = await textOf(file)
      if (text === null) return
      const { states, wrong } = readOrdersCsv(text, new Set(lines.map(({ key }) => key)))
      const what = new Map(lines.map(line => [line.key, line.what]))
      if (states.length > 0)
        edit(
          setOrderStates(
            states.map(one => ({ ...one, what: what.get(one.key) ?? one.key })),
            file.name.slice(0, 80),
          ),
        )
      const first = wrong[0]
      setSaid({
        bad: wrong.length > 0,
        text: `${states.length} lines noted.${
          first
            ? ` ${wrong.length} are wrong; line ${first.line}, column ${first.column}: got ${first.got}, takes ${first.takes}.`
            : ''
        }`,
      })
    } catch (error) {
      setSaid({
        bad: true,
        text: `${errorWords(error)} Nothing was changed.`,
      })
    }
  }
  const columns: TableColumn<OrderLine>[] = [
    {
      id: 'what',
      head: 'What',
      cell: ({ what, lengths }) => (
        <>
          {what}
          {lengths && (
            <chakra.span display="block" fontSize="13px" color="quiet">
              Whole length:{' '}
              {lengths
                .map(
                  ({ axis, count, lengthMm }) =>
                    `${axis} ${count > 1 ? `${count} × ` : ''}${say(lengthMm, 'length', units)}`,
                )
                .join(', ')}
            </chakra.span>
          )}
        </>
      ),
    },
    { id: 'for', head: 'For', cell: line => line.axes.join(', ') || 'all' },
    { id: 'count', head: 'How many', figures: true, cell: line => line.count },
    { id: 'by', head: 'Needed by', cell: line => NEEDED_BY[line.neededBy] },
    {
      id: 'price',
      head: 'Price of one',
      figures: true,
      cell: ({ priceEur }) => (priceEur === null ? '–' : money(priceEur, 2)),
    },
    { id: 'days', head: 'Days', figures: true, cell: ({ leadDays }) => leadDays ?? '–' },
    {
      id: 'state',
      head: 'State',
      cell: ({ key, what, state }) => (
        <SelectField
          label={`State of ${what}`}
          hideLabel
          value={state}
          options={STATES}
          onChange={(next: OrderState) => edit(setOrderStates([{ key, what, state: next }]))}
        />
      ),
    },
    {
      id: 'due',
      head: 'Comes on',
      cell: ({ key, what, state, dueDay }) =>
        state === 'ordered' && (
          <FieldInput
            field={ORDERS.of.of.dueDay}
            label={`${what} comes on`}
            hideLabel
            value={dueDay}
            units={units}
            onValue={value => edit(setDueDay(key, what, value))}
          />
        ),
    },
  ]
  const lastDays = Math.max(
    0,
    ...lines.filter(({ state }) => state !== 'arrived').map(({ leadDays }) => leadDays ?? 0),
  )
  return (
    <Panel
      title="Order list"
      note="For the whole machine: parts that are chosen, screws and slot nuts with spares, taps, bar for bungs, cutters that nobody here owns, and what is used up. The supplier is made up and ships with the app."
    >
      <chakra.div data-frame display="flex" flexWrap="wrap" gap="3" alignItems="end">
        <SelectField label="The supplier today" value={mood} options={MOOD_CHOICES} onChange={setMood} />
        <Button variant="lamp" disabled={asking} onClick={() => void askNow()}>
          {asking ? 'Asking…' : 'Ask for prices'}
        </Button>
        <TableFiles
          name={`${jobName} orders`}
          label="Save the list"
          tableOf={async () =>
            (await import('@/core/formats/ordersCsv')).ordersTable(lines, jobName, today())
          }
        />
        <FilePicker label="Order file" accept=".csv,text/csv,text/plain" onFile={file => void take(file)}>
          <FileUp size={16} aria-hidden /> Take a list
        </FilePicker>
      </chakra.div>
      {askLetters}
      <chakra.p role="status" mt="2" fontWeight={700} color={said?.bad ? 'fails' : 'quiet'}>
        {said?.text}
      </chakra.p>
      <chakra.div mt="2">
        <ScrollBox label="Order list, to scroll" abovePx={360}>
          <DataTable
            label="Order list of the machine"
            columns={columns}
            rows={lines}
            rowId={({ key }) => key}
            leastPx={720}
            rowProps={({ key }) => ({ 'data-order': key })}
          />
        </ScrollBox>
      </chakra.div>
      <MoneyField />
      <Stated mt="2">
        In all about {money(totalEurOf(lines))} as far as prices are known
        {lastDays > 0 ? `; the last of it comes in ${lastDays} days if it is ordered today` : ''}.
      </Stated>
    </Panel>
  )
}
