import type { SetAdvice, ToolKind } from '../api/client'
import { TOOL_WORDS } from '../machine/partWords'

/** Where a tool is missing: what stands in for it, and the risk. Nothing where it is on hand, or nobody listed the tools. */
export function MissingTool({ manual, tools }: { manual: SetAdvice['manual']; tools: ToolKind[] }) {
  return manual.missingTools
    .filter((m) => tools.includes(m.tool))
    .map((m) => (
      <p key={m.tool} className="cap" style={{ color: 'var(--watch)' }}>
        ▲ No {TOOL_WORDS[m.tool]} on hand. In its place: {m.standIn} {m.risk}
      </p>
    ))
}
