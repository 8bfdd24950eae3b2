import { defineRecipe, defineSlotRecipe } from '@chakra-ui/react'

/** Fingers need 44 px on a tablet; a mouse on a wide screen needs less. */
const target = { base: '44px', xl: '36px' }

export const buttonRecipe = defineRecipe({
  className: 'dusk-button',
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    minH: target,
    minW: target,
    px: '3',
    borderRadius: '6px',
    fontWeight: 700,
    fontSize: '14px',
    lineHeight: '1.2',
    textAlign: 'center',
    cursor: 'pointer',
    textDecoration: 'none',
    _disabled: { cursor: 'not-allowed', opacity: 0.55 },
    '& svg': { flexShrink: 0 },
  },
  variants: {
    variant: {
      lamp: { bg: 'lampFill', color: 'onLamp', _hover: { filter: 'brightness(1.07)' } },
      outline: {
        bg: 'transparent',
        color: 'lamp',
        borderWidth: '1px',
        borderColor: 'lamp',
        _hover: { bg: 'raised' },
      },
      quiet: { bg: 'transparent', color: 'lamp', _hover: { bg: 'raised' } },
      danger: {
        bg: 'transparent',
        color: 'fails',
        borderWidth: '1px',
        borderColor: 'fails',
        _hover: { bg: 'raised' },
      },
    },
  },
  defaultVariants: { variant: 'outline' },
})

export const textareaRecipe = defineRecipe({
  className: 'dusk-textarea',
  base: {
    width: '100%',
    minH: '80px',
    px: '2.5',
    py: '2',
    bg: 'field',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'edge',
    borderRadius: '6px',
    fontSize: '15px',
    _invalid: { borderColor: 'fails', borderWidth: '2px' },
  },
})

const dialog = defineSlotRecipe({
  className: 'dusk-dialog',
  slots: [
    'backdrop',
    'positioner',
    'content',
    'header',
    'title',
    'body',
    'footer',
    'description',
    'trigger',
    'closeTrigger',
  ],
  base: {
    backdrop: { bg: 'rgba(8, 11, 16, 0.72)', position: 'fixed', inset: 0, zIndex: 'modal' },
    positioner: {
      display: 'flex',
      position: 'fixed',
      inset: 0,
      zIndex: 'modal',
      justifyContent: 'center',
      alignItems: 'flex-start',
      overflow: 'auto',
      p: { base: '3', md: '16' },
    },
    content: {
      bg: 'panel',
      color: 'ink',
      borderWidth: '1px',
      borderColor: 'edge',
      borderRadius: '10px',
      width: '100%',
      maxW: '560px',
      outline: 'none',
      boxShadow: '0 20px 60px rgba(0,0,0,0.45)',
    },
    header: { px: '5', pt: '4', pb: '2' },
    title: { fontSize: '20px', fontWeight: 700 },
    body: { px: '5', py: '2' },
    footer: {
      display: 'flex',
      flexWrap: 'wrap',
      justifyContent: 'flex-end',
      gap: '2',
      px: '5',
      pt: '3',
      pb: '5',
    },
    description: { color: 'quiet' },
  },
})

export const slotRecipes = { dialog }
