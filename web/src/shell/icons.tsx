const shape = (d: string) => () => (
  <svg
    width="22"
    height="22"
    viewBox="0 0 22 22"
    fill="none"
    stroke="currentColor"
    strokeWidth="1.6"
    strokeLinecap="round"
    aria-hidden="true"
  >
    <path d={d} />
  </svg>
)

export const YardIcon = shape('M3 12l8-7 8 7v8H3z')
export const StockIcon = shape('M3 5h16v5H3zM3 13h16v5H3z')
export const FaultsIcon = shape('M11 3.5L20 19H2zM11 9v4.5M11 16.2v.1')
export const PracticeIcon = shape('M11 3.5a7.5 7.5 0 11-7.2 5.4M11 7v4h3.5')
export const HistoryIcon = shape('M11 3a8 8 0 11-7 4M4 3v4h4M11 7v4l3 2')
export const MoreIcon = shape('M4.5 11h.1M11 11h.1M17.5 11h.1M4.5 10.6v.8M11 10.6v.8M17.5 10.6v.8')
export const PrintIcon = shape('M6 8V3h10v5M6 16H3V8h16v8h-3M6 13h10v6H6z')
export const SunMoonIcon = shape('M11 3a8 8 0 100 16zM11 3a8 8 0 010 16')
