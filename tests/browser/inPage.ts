import { computeAccessibleName, getRole, isInaccessible } from 'dom-accessibility-api'

/** Elements that have a role by themselves. */
const NATIVE: Record<string, string> = {
  button: 'button, input[type=button], input[type=submit]',
  link: 'a[href]',
  textbox: 'input, textarea',
  combobox: 'select, input',
  checkbox: 'input[type=checkbox]',
  slider: 'input[type=range]',
}

const plain = (text: string) => text.replace(/\s+/g, '')

/** All words that can be part of an element's name: most elements are passed over by them alone. */
const words = (element: Element) =>
  plain(
    [
      element.getAttribute('aria-label'),
      element.textContent,
      element.getAttribute('title'),
      ...[...((element as HTMLInputElement).labels ?? [])].map(label => label.textContent),
      ...(element.getAttribute('aria-labelledby') ?? '')
        .split(' ')
        .map(id => document.getElementById(id)?.textContent),
      ...[...element.querySelectorAll('[aria-label]')].map(inner => inner.getAttribute('aria-label')),
    ].join(' '),
  )

/** The first element of the page with a role and an accessible name that a screen reader comes to. */
function accessible(role: string, name: string): Element | null {
  const sought = plain(name)
  const candidates = document.querySelectorAll([`[role=${role}]`, NATIVE[role]].filter(Boolean).join(', '))
  return (
    [...candidates].find(
      element =>
        words(element).includes(sought) &&
        getRole(element) === role &&
        computeAccessibleName(element) === name &&
        element.checkVisibility() &&
        !element.closest('[inert]') &&
        !isInaccessible(element),
    ) ?? null
  )
}

Object.assign(globalThis, { accessible })
