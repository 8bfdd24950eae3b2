import type { PartKind } from '@/core/document/kinds'

/** What the kinds of part are called on their buttons. */
export const KIND_WORDS: Record<PartKind, string> = {
  screw: 'Screw and nut',
  bearing: 'Bearings',
  coupler: 'Coupler',
  belt: 'Belt',
  motor: 'Motor',
  brake: 'Brake',
}
