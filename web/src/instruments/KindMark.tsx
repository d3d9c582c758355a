import type { InstrumentKind } from '@logged-thermal/core'

const SHAPE: Record<InstrumentKind, string> = {
  probe: 'M2 4h20v7H2Z M10 11h4v18l-2 3l-2 -3Z',
  surface: 'M4 4h16v6H4Z M10 10h4v14h-4Z M3 24h18v6H3Z',
  infrared: 'M2 4h20v9h-6l-2 18h-7l1 -18H2Z',
  logger: 'M4 4h16v26H4Z M8 9v5h8V9Z',
  display: 'M2 5h20v22H2Z M6 9v9h12V9Z',
  ph: 'M7 3h10v19a5 9 0 0 1 -10 0Z',
}

/** What kind of instrument it is, as an outline. */
export function KindMark({ kind }: { kind: InstrumentKind }) {
  return (
    <svg width="24" height="34" viewBox="0 0 24 34" aria-hidden="true" style={{ flex: 'none' }}>
      <path d={SHAPE[kind]} fill="var(--ink)" fillRule="evenodd" />
    </svg>
  )
}
