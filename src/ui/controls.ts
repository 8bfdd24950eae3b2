import { chakra } from '@chakra-ui/react'
import { buttonRecipe, textareaRecipe } from './theme/recipes'

/** Something to act on: the warm lamp colour says so. */
export const Button = chakra('button', buttonRecipe, {
  defaultProps: { type: 'button', 'data-button': true },
})
/** A link that looks like a button. */
export const LinkButton = chakra('a', buttonRecipe, { defaultProps: { 'data-button': true } })
export const Textarea = chakra('textarea', textareaRecipe)
