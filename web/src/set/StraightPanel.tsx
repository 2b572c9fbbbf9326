import { SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { LoopSetting, LoopSummary, SetAdvice, StraightnessResult } from '../api/client'
import { type Question, useDebouncedDraft, useEvaluation } from '../api/evaluation'
import type { Workbench } from '../machine/useWorkbench'
import { figure, fixed } from '../quantities/format'
import { useUnits } from '../quantities/units'
import { LabelledValue } from '../shell/LabelledValue'
import { type ToolField, ToolPanel } from '../shell/ToolPanel'
import table from '../shell/table.module.css'
import { MissingTool } from './MissingTool'
import { moveText, unitsText } from './words'

type Way = SetAdvice['manual']['straightBy'][number]

const WAYS: Record<Way, string> = {
  bothArms: 'both arms',
  straightEdge: 'straight-edge',
  line: 'line',
  tautString: 'string',
}

const SHIFT_WORDS: Record<NonNullable<StraightnessResult['shiftTo']>, string> = {
  edge: 'towards the straight-edge',
  offEdge: 'away from the straight-edge',
  line: 'back to the line',
}

const measure = (key: string, label: string, at: string): ToolField<string> => ({
  key,
  label,
  quantity: 'fine',
  at,
})

/** What is measured each way. */
const MEASURED: Record<Way, ToolField<string>[]> = {
  bothArms: [
    measure('left', 'Left, to the axle', 'marks.leftMm'),
    measure('right', 'Right, to the axle', 'marks.rightMm'),
  ],
  straightEdge: [
    ...[1, 2, 3, 4].flatMap((i) => [
      measure(`x${i}`, `Place ${i}, ${i < 3 ? 'front' : 'rear'}`, `edge.xMm[${i - 1}]`),
      measure(`g${i}`, `Gap ${i}`, `edge.gapMm[${i - 1}]`),
    ]),
    measure('rimFront', 'Front rim, wide', 'edge.rimWidthFrontMm'),
    measure('rimRear', 'Rear rim, wide', 'edge.rimWidthRearMm'),
  ],
  line: [measure('line', 'Rear off the line', 'lineOffsetMm')],
  tautString: [
    measure('near', 'String to near edge', 'alongString.nearMm'),
    measure('far', 'String to far edge', 'alongString.farMm'),
    measure('apart', 'Edges apart', 'alongString.apartMm'),
  ],
}

type Values = Record<string, number | undefined>

/** How straight it runs, by what people have: marks, a straight-edge, the line, a string. */
export function StraightPanel({
  bench,
  driveElement,
  isLaidOut,
  setting,
  advice,
}: {
  bench: Workbench
  driveElement: LoopSummary['driveElement']
  /** Then the distance of both shafts is known. */
  isLaidOut: boolean
  /** How it is set, as it is being typed; null for as it is stored. */
  setting: LoopSetting | null
  advice: SetAdvice
}) {
  const units = useUnits()
  const { hasTwoEnds } = advice.setting.adjuster
  const ways = advice.manual.straightBy
  const [chosen, setWay] = useState<Way>()
  const way = chosen && ways.includes(chosen) ? chosen : (ways[0] ?? 'straightEdge')
  const [values, setValues] = useState<Values>({})
  const input = useDebouncedDraft(questionOf(way, values, isLaidOut, setting))
  const answer = useEvaluation(bench.asFitted, 'straightness', input)
  const result = input && answer.data
  return (
    <ToolPanel
      title="How straight"
      note={result?.source}
      above={
        <>
          <SegmentedControl
            size="xs"
            aria-label="Measured by"
            value={way}
            onChange={setWay}
            data={ways.map((value) => ({ value, label: WAYS[value] }))}
            data-no-print
          />
          {way === 'straightEdge' && <MissingTool manual={advice.manual} tools={['straightEdge']} />}
        </>
      }
      fields={[
        ...MEASURED[way],
        ...(hasTwoEnds && way !== 'line' ? [measure('spacing', 'Ends of the axle apart', 'spacingMm')] : []),
        ...(isLaidOut ? [] : [measure('centre', 'Shafts apart', 'centreMm')]),
      ]}
      values={values}
      onChange={setValues}
      answer={{ ...answer, data: result }}
      working="how straight"
    >
      {(result) => (
        <>
          {result.offsetMm !== null && (
            <LabelledValue name="offset">
              {units.show('fine', result.offsetMm)}
              {result.offsetLimitMm !== null && ` of ${units.show('fine', result.offsetLimitMm)}`}
            </LabelledValue>
          )}
          {result.angleDeg !== null && (
            <LabelledValue name="angle">
              {figure(result.angleDeg, 2)}°
              {result.angleLimitDeg !== null && ` of ${fixed(result.angleLimitDeg, 2)}°`}
            </LabelledValue>
          )}
          {result.isStraight !== null && (
            <p>
              <span className={table.tag} data-tone={result.isStraight ? 'ok' : 'stop'}>
                {result.isStraight ? 'straight enough' : 'not straight'}
              </span>
            </p>
          )}
          {result.isStraight === false && result.move !== null && (
            <p>
              {moveText(result.move, advice.setting.adjuster.kind, advice.manual.handles)}; no more than{' '}
              {unitsText(advice.setting.adjuster.kind, advice.setting.adjuster.mostAtOnce)} at a time.
            </p>
          )}
          {result.shiftMm !== null && result.shiftTo !== null && (
            <p>
              Rear wheel {units.show('fine', result.shiftMm)} {SHIFT_WORDS[result.shiftTo]}, or the front one
              as much the other way: by its spacers or where it sits on its shaft.
            </p>
          )}
          {result.walksTo !== null && driveElement !== 'chain' && (
            <p className="cap">As it stands the belt walks {result.walksTo}.</p>
          )}
          {result.edgeLies === false && (
            <p style={{ color: 'var(--watch)' }}>
              ▲ The straight-edge hardly lay on the front wheel: lay it on again.
            </p>
          )}
        </>
      )}
    </ToolPanel>
  )
}

function questionOf(
  way: Way,
  v: Values,
  isLaidOut: boolean,
  setting: LoopSetting | null,
): Question<'straightness'> | undefined {
  if (!isLaidOut && v.centre === undefined) return undefined
  const base = { centreMm: v.centre ?? null, spacingMm: v.spacing ?? null, setting }
  // One width alone says nothing of the difference.
  const rims =
    v.rimFront === undefined || v.rimRear === undefined
      ? { rimWidthFrontMm: 0, rimWidthRearMm: 0 }
      : { rimWidthFrontMm: v.rimFront, rimWidthRearMm: v.rimRear }
  const edge = [1, 2, 3, 4].map((i) => ({ x: v[`x${i}`], g: v[`g${i}`] }))
  switch (way) {
    case 'bothArms':
      return v.left !== undefined && v.right !== undefined && v.spacing !== undefined
        ? { ...base, marks: { leftMm: v.left, rightMm: v.right } }
        : undefined
    case 'straightEdge':
      return edge.every((e) => e.x !== undefined && e.g !== undefined)
        ? {
            ...base,
            edge: {
              xMm: edge.map((e) => e.x ?? 0),
              gapMm: edge.map((e) => e.g ?? 0),
              ...rims,
            },
          }
        : undefined
    case 'line':
      return v.line !== undefined ? { ...base, lineOffsetMm: v.line } : undefined
    case 'tautString':
      return v.near !== undefined && v.far !== undefined && v.apart !== undefined
        ? { ...base, alongString: { nearMm: v.near, farMm: v.far, apartMm: v.apart } }
        : undefined
  }
}
