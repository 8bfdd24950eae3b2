/** The demo machines, the one that is furthest first: what a list of them needs, without what is in them. */
export const DEMOS = [
  { id: 'demo-skarrow-8', name: 'Skarrow 8' },
  { id: 'demo-ostrey-254', name: 'Ostrey 254' },
  { id: 'demo-long-tom-2400', name: 'Long Tom 2400' },
] as const
export type DemoName = (typeof DEMOS)[number]['name']
