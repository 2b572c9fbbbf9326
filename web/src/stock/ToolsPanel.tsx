import { Button, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { HandTool, ToolKind } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange, useTools } from '../api/queries'
import { addTool, removeTool } from '../api/stock'
import { TOOL_WORDS } from '../machine/partWords'
import { choicesOf } from '../quantities/choices'
import fields from '../shell/fields.module.css'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './StockView.module.css'
import { TakeOutButton } from './TakeOutButton'

/** The tools of the workshop: where a step asks for one that is not here, it says what can stand in for it. */
export function ToolsPanel() {
  const tools = useTools().data
  const [kind, setKind] = useState<ToolKind>('spanner')
  const [size, setSize] = useState('')
  const add = useChange(addTool)
  return (
    <Panel title="Tools on hand" note="of this workshop">
      {tools?.length === 0 && (
        <p className="cap">None yet. As long as none is listed, no step says that one is missing.</p>
      )}
      <ul className={classes.tools}>
        {tools?.map((tool) => (
          <ToolLine key={tool.id} tool={tool} />
        ))}
      </ul>
      <form
        className={fields.fields}
        style={{ marginTop: 8 }}
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          add.mutate({ id: 0, version: 0, kind, size: size.trim() || null }, { onSuccess: () => setSize('') })
        }}
      >
        <Select
          size="xs"
          label="Tool"
          data={choicesOf(TOOL_WORDS)}
          allowDeselect={false}
          value={kind}
          onChange={(value) => value && setKind(value)}
          error={issueFor(add.error, 'kind')}
        />
        <TextInput
          size="xs"
          label="Size"
          placeholder="36 mm"
          value={size}
          onChange={(event) => setSize(event.currentTarget.value)}
          error={issueFor(add.error, 'size')}
        />
        <Button type="submit" size="compact-sm" variant="default" loading={add.isPending}>
          Add a tool
        </Button>
      </form>
      <Refused error={add.error} fields={['kind', 'size']} />
    </Panel>
  )
}

function ToolLine({ tool }: { tool: HandTool }) {
  const name = [TOOL_WORDS[tool.kind], tool.size].filter(Boolean).join(', ')
  return (
    <li>
      {TOOL_WORDS[tool.kind]}
      {tool.size && <span className="cap">{tool.size}</span>}
      <TakeOutButton name={name} remove={() => removeTool(tool.id, tool.version)} />
    </li>
  )
}
