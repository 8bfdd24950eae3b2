'use client'
import { chakra } from '@chakra-ui/react'
import { Button, LinkButton } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'

/** What is shown when a screen fails: what was saved stays saved. */
export default function ScreenError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <chakra.main maxW="760px" mx="auto" p="6">
      <Notice
        title="This screen could not be drawn"
        actions={
          <>
            <Button onClick={reset}>Try again</Button>
            <LinkButton href="/">All jobs</LinkButton>
          </>
        }
      >
        {error.message} What was saved before is still in this browser.
      </Notice>
    </chakra.main>
  )
}
