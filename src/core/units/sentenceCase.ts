/** Words as a sentence begins. @example sentenceCase('at the slide') // 'At the slide' */
export const sentenceCase = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1)
