'use client'
import { chakra } from '@chakra-ui/react'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { keepApp, renew, renewalState, watchOvertaken, watchRenewal } from '@/store/renewal'
import { Button } from '@/ui/controls'

const WORDS = {
  waiting: {
    title: 'A newer version of the app is here.',
    say: 'It comes in when you say so; everything is saved first.',
    action: 'Take it in now',
  },
  elsewhere: {
    title: 'Another tab has taken in a newer version.',
    say: 'This one goes on as it is until you load it again.',
    action: 'Load again',
  },
  overtaken: {
    title: 'A newer version of the app, in another tab, has taken over what is kept here.',
    say: 'From now on this tab saves nothing; what you type is put by, and goes in when it is loaded again.',
    action: 'Load again',
  },
}

/** Has the browser keep the app where it may, and asks before a newer version takes over. */
export function Renewal({ keeps }: { keeps: boolean }) {
  const state = useSyncExternalStore(watchRenewal, renewalState, renewalState)
  const [later, setLater] = useState(false)
  const [why, setWhy] = useState<string | null>(null)
  useEffect(() => {
    if (keeps) void keepApp()
    watchOvertaken()
  }, [keeps])
  if (state === 'none' || later) return null
  const { title, say, action } = WORDS[state]
  return (
    <chakra.div
      role="status"
      data-frame
      display="flex"
      flexWrap="wrap"
      gap="2"
      alignItems="center"
      px="3"
      py="1.5"
      bg="raised"
      borderBottomWidth="1px"
    >
      <chakra.p flex="1 1 280px">
        <chakra.strong>{title}</chakra.strong> {why ?? say}
      </chakra.p>
      <Button onClick={async () => setWhy(await renew())}>{action}</Button>
      <Button variant="quiet" onClick={() => setLater(true)}>
        Later
      </Button>
    </chakra.div>
  )
}
