/**
 * A fresh identifier of 16 letters and digits.
 *
 * Not `crypto.randomUUID`: a tablet that opens the app from another machine of the shop has no secure
 * context, and that function with it.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  return Array.from(bytes, byte => (byte % 36).toString(36)).join('')
}
