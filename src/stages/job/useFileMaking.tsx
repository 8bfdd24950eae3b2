import { chakra } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'
import { errorWords } from '@/store/errorWords'

/** What came of making a file: what it lacks, or why there is none. */
type Outcome = { lacks: string } | { failure: string } | null

/**
 * Makes files to take away, and says beside them what one lacks or why it could not be made.
 *
 * @returns `make` with the work, which gives what the file lacks in words, or nothing; and what is `said`
 */
export function useFileMaking(): {
  make: (work: () => Promise<string | null | undefined>) => void
  said: ReactNode
} {
  const [outcome, setOutcome] = useState<Outcome>(null)
  const make = (work: () => Promise<string | null | undefined>) => {
    work().then(
      lacks => setOutcome(lacks ? { lacks } : null),
      error => setOutcome({ failure: errorWords(error) }),
    )
  }
  const said = outcome && (
    <chakra.p
      role={'failure' in outcome ? 'alert' : 'status'}
      color={'failure' in outcome ? 'fails' : 'close'}
      fontWeight={700}
    >
      {'failure' in outcome
        ? `The file could not be made: ${outcome.failure.replace(/\.$/, '')}. Nothing was changed.`
        : outcome.lacks}
    </chakra.p>
  )
  return { make, said }
}
