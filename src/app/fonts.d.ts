/** The address of a font that ships with the app. */
declare module '*.woff2' {
  const address: string
  export default address
}
