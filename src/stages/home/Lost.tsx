'use client'
import { chakra } from '@chakra-ui/react'
import { LinkButton } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Wordmark } from '@/ui/frame/Wordmark'

/** An address that leads nowhere, and the way on. */
export function Lost() {
  return (
    <chakra.main maxW="760px" mx="auto" p="4" display="grid" gap="4">
      <Wordmark />
      <Notice title="There is no such page" actions={<LinkButton href="/">All jobs</LinkButton>}>
        The address may be cut short. Your jobs are where they were: in this browser.
      </Notice>
    </chakra.main>
  )
}
