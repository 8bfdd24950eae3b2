/** A bench lamp and its cone of light. */
export const Lamp = ({ lamp, steel }: { lamp: string; steel: string }) => (
  <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
    <path d="M8 12L2 24h18l-6-12z" fill={lamp} opacity="0.35" />
    <path d="M22 24V10L13 4" fill="none" stroke={steel} strokeWidth="2.4" />
    <path d="M6 12.5L10 4l7 4-3 5z" fill={lamp} />
    <path d="M1 24.5h24" stroke={steel} strokeWidth="2" />
  </svg>
)
