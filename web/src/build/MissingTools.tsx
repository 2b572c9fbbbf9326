import type { ToolStandIn } from '../api/client'
import { TOOL_WORDS } from '../machine/partWords'
import { Panel } from '../shell/Panel'

/** Tools of the plan that the workshop does not have: what stands in, and the risk. */
export function MissingTools({ tools }: { tools: ToolStandIn[] }) {
  if (tools.length === 0) return null
  return (
    <Panel title="Tools that are not on hand">
      {tools.map((t) => (
        <p key={t.tool} style={{ marginBottom: 6 }}>
          <b>{TOOL_WORDS[t.tool]}</b>: {t.standIn} <span style={{ color: 'var(--watch)' }}>▲ {t.risk}</span>
        </p>
      ))}
    </Panel>
  )
}
