import dynamic from 'next/dynamic'

/** The working panel with every formula: it loads when a figure is opened. */
export const LaterWorking = dynamic(() => import('./Working').then(module => module.Working), { ssr: false })
