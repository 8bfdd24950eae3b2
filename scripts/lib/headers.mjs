/** What every answer of the app carries, whatever it is; pages have a policy for their content besides. */
export const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  // Gauges may be read over a serial port one day; nothing else of the machine is asked for.
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(self)',
}
