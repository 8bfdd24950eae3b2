import { chakra } from '@chakra-ui/react'
import type { ComponentProps, MouseEvent } from 'react'
import { buttonRecipe } from '@/ui/theme/recipes'
import type { Place } from './address'
import { addressOf, go } from './place'

/** What a link to a place needs: its address, and that a plain click goes there at once. */
export function placeLink(place: Place, onGone?: () => void) {
  const onClick = (event: MouseEvent<HTMLAnchorElement>) => {
    // A new tab, a new window or a download is the browser's own affair.
    if (event.defaultPrevented || event.button !== 0) return
    if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return
    event.preventDefault()
    go(place)
    onGone?.()
  }
  return { href: addressOf(place), onClick }
}

/** A link to a place of a job: it goes there at once, and opens in a tab of its own like any link. */
export function PlaceLink({
  place,
  onGone,
  ...rest
}: { place: Place; onGone?: () => void } & Omit<ComponentProps<'a'>, 'href' | 'onClick'>) {
  return <a data-button {...rest} {...placeLink(place, onGone)} />
}

/** Such a link that looks like a button. */
export const PlaceButton = chakra(PlaceLink, buttonRecipe)
