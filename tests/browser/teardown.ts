import { held } from './setup'

/** Stops what all browser tests shared. */
export default async function teardown() {
  await held.stopShared?.()
}
