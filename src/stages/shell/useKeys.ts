import { useLayoutEffect } from 'react'
import type { Action } from '@/ui/frame/Palette'

/** The key of an event as the help lists it: "Ctrl Shift Z", "Alt 3", "?". */
export function keyName(
  event: Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>,
): string {
  // With Alt some keyboards type another character: the digit is on the key itself.
  const digit = /^Digit(\d)$/.exec(event.code)?.[1]
  const base = event.altKey && digit ? digit : event.key.length === 1 ? event.key.toUpperCase() : event.key
  const control = event.ctrlKey || event.metaKey
  return [control && 'Ctrl', event.altKey && 'Alt', control && event.shiftKey && 'Shift', base]
    .filter(Boolean)
    .join(' ')
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)

/**
 * Runs the actions by their keys. Plain keys wait while something is typed, so that a gauge that types its
 * reading never works the app; undo in a field is the field's own.
 */
export function useKeys(actions: Action[], active: boolean): void {
  // With the screen, not after it: the next key may come at once, and must not work on the axis before.
  useLayoutEffect(() => {
    if (!active) return
    const onKeyDown = (event: KeyboardEvent) => {
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey
      const inField = typing(event.target)
      if (event.defaultPrevented || (plain && inField)) return
      const pressed = keyName(event)
      const name = pressed === 'Ctrl Y' ? 'Ctrl Shift Z' : pressed
      const action = actions.find(({ keys }) => keys === name)
      if (!action || (inField && !name.startsWith('Alt') && name !== 'Ctrl K')) return
      event.preventDefault()
      action.run()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [actions, active])
}
