// How wide letters are in the fonts that drawings are set in; a test compares them with the font files.

/** Letters of a drawing stand this much higher than the size of their capitals. */
export const FONT_SHARE = 1.3

/** Code points from the space on, two signs in base 36 each: thousandths of the size of the font; 00 where none has the letter. */
const FIRST = 0x20
const WIDTHS =
  '7s7t8di7giprjl4g8c8cc1gq5pa85pahi0b6f9fyh2g7gme6h3gm5p5pfdgqfdegloheh7i8ipfrf8jqj6bie6hfezmsj5k7gpkx' +
  'h6gkfij6gdnchbgjgv8rah8rfcb07gemfqdwfoez8nfkf67q72dm6nndf6fcfqg09gd390ewc9i6ctbxcs8v6h8vff0000000000' +
  '000000000000000000000000000000000000000000000000000000007s7tdwgag4gj6heqbtm6abfmgq9om6am9sg3aman7gff' +
  'e46j8374alfmmymko4egheheheheheherqi8frfrfrfrbibibibijsj5k7k7k7k7k7eok7j6j6j6j6gjg0glememememememoadw' +
  'ezezezez7q7q7q7qfrf6fcfcfcfcfcgqfcewewewewbxfqbxheemheemheemi8dwhkdci8dwi8dwipfxjsgrfrezfgfofrezfrez' +
  'frezk8h3jqfkjqfkjqfkklh6jqg59f76bi7q9f76bi7q9f7qh0ec7l76hfdmeuek76ez6nez6nek7gfx6lj5f6j5f6j5f6j4l4h6' +
  'lpgtlpgtk7fct8prh69ghabhh69ggkd3f9dbgkd3gkd3fi90fi90fga1kbh6j6ewkbh6j6ewj6ewj6ewpulufqe6gjgvcsgvcsgv' +
  'cs92h3kah3h3hnh0hkhkdzkamih3h3gsfgkjgcgd8xk8fupy9o9fh7eu76f2sml4h6lqlsh4tvnhj1h3haf9dbfw9xa1g0a1fglo' +
  'iqlqkbg0f2fwd2g8g8dudufug8dmcvgb9cffec7hzwxcu5m5lqecspsaochrfl9f76lpgtkbh6kbh6kbh6kbh6kbh6fohrflhrfl' +
  'oho0k8h3k8h3h7eulpgtlpgtg8du76zwxcu5k8h3q2idl4h6hsfloho0lpgthrflhrflfgfofgfo9f769f76lpgtlpgthabhhabh' +
  'kbh6kbh6gkd3fi90fzdsklh6klnzingkfwd2hrflfgfolpgtlpgtlpgtlpgtfqe6alkpas76r0r0hrhkdcekfgdbd2cgc4i2kbgx' +
  'fgfo7l76lbh3habhfqe6flh3h3h3dcerh3h3fofolsdfdmjjgo76h3h3fye4e4h6h6h676988wai9q75i9pzpzpzh6h6hkgto0lq' +
  'k5bhbhbhbhbh9m9mfjfjdb76767676a1a1h6gtgte4lue6d6d2f2dudubububud1lpg0gofyhp76euc3h3bubuqor9sol3e5nyny' +
  'iegre5gehfhfb6b64o7g7g7ga3e7984v9z004v4v4p4p81817x7x7x7xbxbx4gah7t7t4g007t7t8y8y59597i7i7i8000007100' +
  'c3bi6u7w964o8n9k7pbmbmbmbmbmbmbmbmdr9zbibi9797997tc7c7cf7g7y7y7y7yememeu0000000000000000000000000000' +
  '0000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000' +
  '000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000000cbae' +
  'i8i64n4nlchv00006sdcdcdc7g7l000000006ii0jo7gk0p5ej00ov00lond98hri2dvhrfgfwkllp9fh7gxp7l4hclpkbgt00fw' +
  'fgfqnfgamtjx9ffqhbd2gw98gmhbh1ecgcd2csgwgi98euefheecdmgti5godjh2dmgmk5giktm798gmgtgmm7h7hthbggmaggk5' +
  'nueul7gthkdce5eddrfggheh0000000000000000000000000000ixgodc76lqdrdqgth3hkp7k6gthkhkhkfgfgjwe5hrf97w7w' +
  '7ls2sjjvhdl0h4kbhqh2i2e5k9fgp5g1l0l0hdjep7knl5kdgthsfgh4mpgckkipsrsij1nlgvhzrrhqfgglfoc6gvfbl3dkh9h9' +
  'ergblch2gigugwdpcxe5khe7h0gdouoxhbl3f5dqm7g1fbfbh7c6dpd0767676nvoqh9erh9e5gu'
/** A letter that no font here has, such as a Chinese one: as wide as it is high. */
const FULL = 1000

function widthOf(letter: string): number {
  const at = ((letter.codePointAt(0) ?? FIRST) - FIRST) * 2
  return (at >= 0 && Number.parseInt(WIDTHS.slice(at, at + 2), 36)) || FULL
}

/**
 * How wide a text is on a drawing.
 *
 * @param heightMm of its capitals
 * @example textWidthMm('Ø 12', 2.5) // 6.36
 */
export const textWidthMm = (text: string, heightMm: number): number =>
  Array.from(text.normalize('NFC'), widthOf).reduce((sum, width) => sum + width, 0) *
  ((heightMm * FONT_SHARE) / 1000)

/** A text cut to a width, with dots where something was left out. */
export function cutToWidth(text: string, widthMm: number, heightMm: number): string {
  if (textWidthMm(text, heightMm) <= widthMm) return text
  const letters = Array.from(text)
  while (letters.length > 1 && textWidthMm(`${letters.join('')}…`, heightMm) > widthMm) letters.pop()
  return `${letters.join('')}…`
}
