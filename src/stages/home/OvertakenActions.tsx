import { useState } from 'react'
import { backUpAsItIs } from '@/store/backUpAsItIs'
import { errorWords } from '@/store/errorWords'
import { backupName } from '@/store/keeping'
import { loadNewest } from '@/store/renewal'
import { Button } from '@/ui/controls'
import { download } from '../job/download'

/** The ways out where a newer app has taken over what is kept here: let that in, or take everything along as a file. */
export function OvertakenActions() {
  const [why, setWhy] = useState<string | null>(null)
  const save = async () => {
    try {
      download(backupName(new Date()), await backUpAsItIs(), 'application/json')
    } catch (error) {
      setWhy(`No backup was made: ${errorWords(error)}`)
    }
  }
  return (
    <>
      <Button variant="lamp" onClick={() => void loadNewest()}>
        Load again
      </Button>
      <Button onClick={() => void save()}>Back up all jobs as they are</Button>
      {why && <span role="alert">{why}</span>}
    </>
  )
}
