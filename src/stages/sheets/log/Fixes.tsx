import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { fixDay } from '@/core/acceptance/dues'
import { isAboutSafety, NO_TERMS, termsWords } from '@/core/document/fixes'
import type { LogEntry } from '@/core/document/job'
import { mendFix, setFixTerms } from '@/core/document/logEdits'
import { nowOf } from '@/core/planning/days'
import { dayWords, momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob, whole } from '../../job/JobContext'
import { FixTermsFields, termsSchema, termsTyped, typedTerms } from '../../log/FixTerms'

/** What holds for the time being, when each is to be mended, and which concern safety. */
export function Fixes({ fixes }: { fixes: readonly LogEntry[] }) {
  const [inHand, setInHand] = useState<string | null>(null)
  return (
    <Panel
      title={`Temporary fixes still open: ${fixes.length}`}
      note="Foil, printed strips, a guard that is taped on: noted here until the proper part is in. One that has a day asks on it, here, in the list of jobs and in the calendar."
    >
      {fixes.length > 0 && (
        <chakra.ul display="grid">
          {fixes.map(fix => (
            <chakra.li key={fix.id} borderTopWidth="1px" py="1.5" data-fix={fix.id}>
              <Fix fix={fix} onTerms={() => setInHand(fix.id === inHand ? null : fix.id)} />
              {inHand === fix.id && <TermsForm fix={fix} onDone={() => setInHand(null)} />}
            </chakra.li>
          ))}
        </chakra.ul>
      )}
    </Panel>
  )
}

function Fix({ fix, onTerms }: { fix: LogEntry; onTerms: () => void }) {
  const edit = useEdit()
  return (
    <Stated
      as="div"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '175px 1fr auto' }}
      columnGap="3"
      alignItems="center"
    >
      <chakra.span color="quiet" fontFamily="mono" fontSize="13px">
        {momentWords(fix.at)}
      </chakra.span>
      <chakra.div overflowWrap="anywhere">
        {fix.text}
        <Asks fix={fix} />
      </chakra.div>
      <chakra.div display="flex" gap="2">
        <Button variant="quiet" aria-label={`When it asks: ${fix.text}`} onClick={onTerms}>
          When it asks
        </Button>
        <Button aria-label={`Mended: ${fix.text}`} onClick={() => edit(mendFix(fix))}>
          Mended
        </Button>
      </chakra.div>
    </Stated>
  )
}

/** What is asked of a fix, and whether its day has come. */
function Asks({ fix }: { fix: LogEntry }) {
  const job = useJob(whole)
  const terms = job.fixes[fix.id]
  if (!terms)
    return (
      <Note as="div">
        {isAboutSafety(fix.text)
          ? 'It may concern safety, and does not ask: say when it asks.'
          : 'It does not ask: say by when it is to be mended.'}
      </Note>
    )
  const day = fixDay(job, terms)
  const isDue = day !== null && day <= nowOf(new Date()).day
  const words = termsWords(terms)
  return (
    <chakra.div
      data-asks={terms.isSafety ? 'safety' : isDue ? 'due' : 'later'}
      color={terms.isSafety ? 'fails' : isDue ? 'close' : 'quiet'}
      fontWeight={terms.isSafety || isDue ? 700 : undefined}
    >
      {`${words.charAt(0).toUpperCase()}${words.slice(1)}`}
      {isDue && `: due since ${dayWords(day)}`}
      {!isDue &&
        terms.untilHours !== null &&
        (day ? `, about ${dayWords(day)}` : '; how much it runs is not known yet')}
      .
    </chakra.div>
  )
}

/** Says anew when a fix asks, and whether it concerns safety. */
function TermsForm({ fix, onDone }: { fix: LogEntry; onDone: () => void }) {
  const edit = useEdit()
  const terms = useJob(job => job.fixes[fix.id]) ?? { ...NO_TERMS, isSafety: isAboutSafety(fix.text) }
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(termsSchema),
    defaultValues: typedTerms(terms),
  })
  const submit = handleSubmit(typed => {
    const next = termsTyped(typed)
    edit(setFixTerms(fix, next, `${fix.text}: ${termsWords(next) || 'nothing is asked of it any more'}.`))
    onDone()
  })
  return (
    <chakra.form
      onSubmit={submit}
      onKeyDown={event => event.key === 'Escape' && onDone()}
      display="grid"
      gap="2"
      maxW="640px"
      mt="2"
    >
      <FixTermsFields register={register} errors={formState.errors} />
      <chakra.div display="flex" gap="2">
        <Button type="submit" variant="lamp">
          It asks so
        </Button>
        <Button variant="quiet" onClick={onDone}>
          Leave it as it was
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
