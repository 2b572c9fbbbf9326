import { SegmentedControl } from '@mantine/core'
import { type ComponentType, useState } from 'react'
import type { Fit } from '../loop/useFit'
import { benchToolsOf } from '../machine/driveElements'
import type { Workbench } from '../machine/useWorkbench'
import { Panel } from '../shell/Panel'
import { BeltCodeTool } from './BeltCodeTool'
import { CutBeltTool } from './CutBeltTool'
import { GrooveTool } from './GrooveTool'
import { LengthForCentreTool } from './LengthForCentreTool'
import { ShimsTool } from './ShimsTool'
import { SprocketTool } from './SprocketTool'

/** By what the core calls them. */
const TOOLS: Record<string, { label: string; Tool: ComponentType<{ bench: Workbench; fit: Fit }> }> = {
  lengthForCentre: { label: 'centre → length', Tool: LengthForCentreTool },
  beltCode: { label: 'code on a belt', Tool: BeltCodeTool },
  groove: { label: 'groove', Tool: GrooveTool },
  cutToLength: { label: 'cut to length', Tool: CutBeltTool },
  shims: { label: 'shims', Tool: ShimsTool },
  sprocket: { label: 'sprocket', Tool: SprocketTool },
}

/** What is measured or read with the part in hand. */
export default function BenchTools({ bench, fit }: { bench: Workbench; fit: Fit }) {
  const keys = benchToolsOf(fit.loop.driveElement)
  const [chosen, setChosen] = useState('')
  const key = keys.includes(chosen) ? chosen : (keys[0] ?? '')
  const Tool = TOOLS[key]?.Tool
  return (
    <Panel title="With the part in hand">
      {keys.length > 1 && (
        <SegmentedControl
          size="xs"
          mb="xs"
          aria-label="What to find"
          value={key}
          onChange={setChosen}
          data={keys.map((value) => ({ value, label: TOOLS[value]?.label ?? value }))}
          data-no-print
        />
      )}
      {Tool && <Tool bench={bench} fit={fit} />}
    </Panel>
  )
}
