import { BlockPanel } from './BlockPanel'
import { ChainPanel } from './ChainPanel'
import { CutListPanel } from './CutListPanel'
import { HolesPanel } from './HolesPanel'
import { JointsPanel } from './JointsPanel'
import { OrderPanel } from './OrderPanel'
import { ScrewEndPanel } from './ScrewEndPanel'
import { SectionPanel } from './SectionPanel'
import { TemplatePanel } from './TemplatePanel'
import { TravelPanel } from './TravelPanel'

/** The sheets of making room: around the nut, holes, cuts, block, screws, and the chain that must come out right. */
export function RoomSheets() {
  return (
    <>
      <TravelPanel />
      <SectionPanel />
      <HolesPanel />
      <CutListPanel />
      <BlockPanel />
      <ScrewEndPanel />
      <TemplatePanel />
      <JointsPanel />
      <ChainPanel />
      <OrderPanel />
    </>
  )
}
