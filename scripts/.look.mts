import { writeFileSync } from 'node:fs'
import { startApp, startBrowser } from '../tests/browser/server'

const app = await startApp({ env: { DUSK_DEMO: '1' } })
const browser = await startBrowser()
const page = await browser.newPage()
await page.setViewport({ width: 1280, height: 800 })
await page.goto(app.url)
await new Promise(r => setTimeout(r, 1800))
await page.goto(`${app.url}/job/demo-skarrow-8/skarrow-x/record`, { waitUntil: 'networkidle0' })
await new Promise(r => setTimeout(r, 1500))
writeFileSync('/tmp/look/record.pdf', await page.pdf({ format: 'A4', preferCSSPageSize: true }))
process.exit(0)
