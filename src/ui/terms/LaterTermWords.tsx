import dynamic from 'next/dynamic'

/** The explanations come when one of them is asked for. */
export const LaterTermWords = dynamic(() => import('./TermWords').then(module => module.TermWords), {
  ssr: false,
})
