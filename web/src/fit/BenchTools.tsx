import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { Fit } from '../loop/useFit'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { BeltCodeTool } from './BeltCodeTool'
import { CutBeltTool } from './CutBeltTool'
import { GrooveTool } from './GrooveTool'
import { LengthForCentreTool } from './LengthForCentreTool'
import { SprocketTool } from './SprocketTool'

type Tool = 'centre' | 'code' | 'groove' | 'cut' | 'sprocket'

const LABELS: Record<Tool, string> = {
  centre: 'centre → length',
  code: 'code on a belt',
  groove: 'groove',
  cut: 'cut to length',
  sprocket: 'sprocket',
}

/** What is measured or read with the part in hand. */
export default function BenchTools({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const tools = toolsFor(fit)
  const [chosen, setChosen] = useState<Tool>()
  const tool = chosen && tools.includes(chosen) ? chosen : tools[0]
  return (
    <Panel title="With the part in hand">
      {tools.length > 1 && (
        <SegmentedControl
          size="xs"
          mb="xs"
          aria-label="What to find"
          value={tool}
          onChange={setChosen}
          data={tools.map((value) => ({ value, label: LABELS[value] }))}
          data-no-print
        />
      )}
      {tool === 'centre' && <LengthForCentreTool bench={bench} fit={fit} />}
      {tool === 'code' && <BeltCodeTool bench={bench} fit={fit} />}
      {tool === 'groove' && <GrooveTool fit={fit} />}
      {tool === 'cut' && <CutBeltTool fit={fit} />}
      {tool === 'sprocket' && <SprocketTool fit={fit} />}
    </Panel>
  )
}

function toolsFor(fit: Fit): Tool[] {
  switch (fit.loop.driveElement) {
    case 'chain':
      return ['centre', 'sprocket']
    case 'toothedBelt':
      return ['centre', 'code']
    case 'vBelt':
      return ['centre', 'code', 'groove', 'cut']
    default:
      return ['cut']
  }
}
