/** From where on there is room for the rail of stages (lg), and for the verdicts beside the sheet (xl). */
export const breakpoints = { sm: '30rem', md: '48rem', lg: '64rem', xl: '80rem' }
