import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'

/**
 * Every number that stands in the page's code, by file, with what it is there for. A figure of the trade is none of these
 * reasons: it is the core's, and comes with an answer. Not listed are 0, 1 and 2, and sizes in the mark-up of a view.
 */
const LISTED: Record<string, { file: string; numbers: string }[]> = {
  'in a picture: its own units, degrees of an arc, how far a zoom goes': [
    { file: 'build/HubWays.tsx', numbers: '150 92 40 30 4' },
    { file: 'build/MeasuredWays.tsx', numbers: '150 84 4 6 18 10' },
    { file: 'build/RunWays.tsx', numbers: '150 64 38 3.5 3 1.5 3 3 3' },
    { file: 'check/LookDrawing.tsx', numbers: '270 16 30 480 480 5 0.5 22 0.5 0.5 20 22 22 24 24' },
    { file: 'check/DuePanel.tsx', numbers: '3' },
    { file: 'check/PartWearPanel.tsx', numbers: '3 3' },
    { file: 'check/WearChart.tsx', numbers: '180 40 12 20 26 1.12 400' },
    { file: 'fit/RailPicture.tsx', numbers: '26 330 600 4' },
    { file: 'fit/ShaftPicture.tsx', numbers: '150 22 78 9 17 24 50 500 14 3' },
    { file: 'fit/SideView.tsx', numbers: '330 250 720 1.4 1.4 74 42 74 0.2 6 8 8' },
    { file: 'fit/SideViewGround.tsx', numbers: '180 26 180' },
    { file: 'fit/SuspensionPanel.tsx', numbers: '130 8 8 18 20 330 10 30' },
    { file: 'job/PhotoLines.tsx', numbers: '3 3 20 200 300 30' },
    { file: 'job/RightPicture.tsx', numbers: '6 220 1.4 3 3 3 4' },
    { file: 'loop/view.ts', numbers: '520 30 92 34 76 0.01 180 0.32 0.1 0.1 0.32' },
    { file: 'loads/PullChart.tsx', numbers: '190 52 10 14 30 4 44 720 10 4 6 8 10 10' },
    { file: 'loads/PullPicture.tsx', numbers: '190 7 330' },
    { file: 'loads/TentChart.tsx', numbers: '200 44 12 16 34 4 84 13 720' },
    { file: 'ratio/CandidateMark.tsx', numbers: '5 10 3' },
    { file: 'ratio/CandidateTip.tsx', numbers: '250 6 3' },
    { file: 'ratio/RatioScale.tsx', numbers: '40 28 46 18 19 26 1100 260 1.02 0.04 8 3 3 1.08 3 12 12' },
    { file: 'shell/TermDrawing.tsx', numbers: '62 48 34 214 48 15' },
    { file: 'ratio/SpeedLadder.tsx', numbers: '24 42 6 7 240 1.05 10 18 46 10 10 5 10 10' },
    { file: 'ratio/logScale.ts', numbers: '0.01 0.02 0.05 0.1 0.2 0.5 5 10 20 50 44 100 1e-9' },
    { file: 'set/FrequencyMeter.tsx', numbers: '300' },
    { file: 'set/ReadingRing.tsx', numbers: '270 40 112 9 0.35 0.05 1e-9 14 4' },
    { file: 'set/TrackingPicture.tsx', numbers: '320 190 128 7 6 17 3.5 6 202 118' },
    { file: 'set/TurnDial.tsx', numbers: '72 30 12 0.5 3 7 4' },
    { file: 'shell/theme.ts', numbers: '6 4' },
    { file: 'yard/LoopGlyph.tsx', numbers: '74 40 3 3 3 10 10' },
  ],
  'figures shown, and what is nothing by then': [
    { file: 'loop/PickBar.tsx', numbers: '3' },
    { file: 'app/StationStrip.tsx', numbers: '3' },
    { file: 'yard/DueOfYard.tsx', numbers: '6' },
    { file: 'fit/CombinationsPanel.tsx', numbers: '14 3' },
    { file: 'fit/FitView.tsx', numbers: '1e-6 1e-6' },
    { file: 'fit/FixedCentrePanel.tsx', numbers: '12 3' },
    { file: 'fit/LengthForCentreTool.tsx', numbers: '3 3 3 3 3' },
    { file: 'fit/LengthsTable.tsx', numbers: '0.05' },
    { file: 'fit/MovedBar.tsx', numbers: '3' },
    { file: 'fit/PairsForMove.tsx', numbers: '3' },
    { file: 'fit/RailPanel.tsx', numbers: '3 0.005' },
    { file: 'loop/fitWords.ts', numbers: '1e-6 3 1e-6' },
    { file: 'loop/spacerWords.ts', numbers: '3' },
    { file: 'loads/EfficiencyPanel.tsx', numbers: '1000 100 100' },
    { file: 'loads/StrengthFields.tsx', numbers: '4' },
    { file: 'loads/words.ts', numbers: '3 3' },
    { file: 'log/OutcomeChart.tsx', numbers: '46 8 8 8 22 0.06 400' },
    { file: 'log/TraceChart.tsx', numbers: '160 8 8 10 20 4 400' },
    { file: 'machine/reductions.ts', numbers: '6' },
    { file: 'machine/targets.ts', numbers: '10' },
    { file: 'quantities/bounds.ts', numbers: '4 10 12' },
    { file: 'quantities/format.ts', numbers: '4 7 1000 10 10 100 3 100 10 100 14 3 10' },
    { file: 'quantities/typedNumber.ts', numbers: '4 12' },
    { file: 'ratio/ComparisonPanel.tsx', numbers: '3 4 3' },
    { file: 'ratio/SideBySide.tsx', numbers: '4 3 4' },
    { file: 'ratio/SpeedometerPanel.tsx', numbers: '0.05 0.05' },
    { file: 'ratio/WaysTable.tsx', numbers: '3 3' },
    { file: 'ratio/station.ts', numbers: '3' },
    { file: 'set/NextCard.tsx', numbers: '3' },
    { file: 'set/RoundSummary.tsx', numbers: '10' },
    { file: 'set/SettingFields.tsx', numbers: '3 3 0.1' },
    { file: 'set/TurnedFields.tsx', numbers: '6' },
    { file: 'loop/readings.ts', numbers: '10 3' },
    { file: 'shell/WorkingSheet.tsx', numbers: '5' },
  ],
  'what a unit is, days and hours': [
    { file: 'quantities/days.ts', numbers: '3_600_000 10 16 60 60 60 86_400_000 10' },
    {
      file: 'quantities/factors.ts',
      numbers: '25.4 1.609344 0.9144 0.45359237 9.80665 12 1000 12 1000 60 550 1000 75 1000',
    },
    {
      file: 'quantities/typedUnits.ts',
      numbers: '10 1000 12 3.6 0.001 0.01 3 1000 0.001 1000 12 12 0.001 1000 60 0.001 0.1',
    },
    { file: 'quantities/units.tsx', numbers: '3 0.005 0.1 10 3 12 10 6' },
    { file: 'set/RunningInPanel.tsx', numbers: '300 80 24 100 3_600_000 48 10' },
  ],
  'a step by key or finger': [
    { file: 'fit/PlaceHandle.tsx', numbers: '10 3' },
    { file: 'fit/TravelHandle.tsx', numbers: '3 10 10' },
    { file: 'machine/LoopFields.tsx', numbers: '0.005' },
    { file: 'ratio/BandHandles.tsx', numbers: '0.01 1000 1000 3 3 10 10' },
    { file: 'shell/BaySteps.tsx', numbers: '0.05 0.5 0.1 10 9' },
  ],
  'how much of a list is shown or asked for at once': [
    { file: 'app/recentPlaces.ts', numbers: '20' },
    { file: 'faults/OddsPanel.tsx', numbers: '6' },
    { file: 'faults/TestsLeft.tsx', numbers: '6' },
    { file: 'app/FindBox.tsx', numbers: '12' },
    { file: 'fit/parseCounts.ts', numbers: '500' },
    { file: 'machine/MachineBar.tsx', numbers: '4' },
    { file: 'ratio/useRatioSearch.ts', numbers: '12 500' },
    { file: 'shell/differences.ts', numbers: '12' },
    { file: 'yard/RestoreDifferences.tsx', numbers: '8' },
    { file: 'yard/YardView.tsx', numbers: '100' },
    { file: 'yard/useYardList.ts', numbers: '24' },
  ],
  'answers of the server, tries, and how long is waited, ms': [
    { file: 'api/client.ts', numbers: '409 404 300' },
    { file: 'api/evaluation.ts', numbers: '3 200' },
    { file: 'api/log.ts', numbers: '20' },
    { file: 'api/queries.ts', numbers: '50 5_000 60_000 60_000 3_000' },
    { file: 'app/LastSeenNotice.tsx', numbers: '3_000' },
    { file: 'app/useSendLeftBehind.ts', numbers: '3_000' },
    { file: 'machine/OutputForm.tsx', numbers: '250' },
    { file: 'set/useRound.ts', numbers: '400' },
    { file: 'shell/useHeld.ts', numbers: '450 110 8 5' },
    { file: 'shell/useStored.ts', numbers: '500' },
    { file: 'log/TakeFile.tsx', numbers: '100 3 100' },
    { file: 'log/TapTimer.tsx', numbers: '1000' },
    { file: 'log/TraceTimer.tsx', numbers: '5 300 100' },
    { file: 'yard/BackupDialog.tsx', numbers: '100' },
    { file: 'yard/WeekPage.tsx', numbers: '7' },
    { file: 'sharing/ReadSharedButton.tsx', numbers: '12_000' },
    { file: 'yard/useMachineFile.ts', numbers: '400 12_000 3' },
  ],
  'the longest text, letters, and how many names stand as buttons': [
    { file: 'aim/ConditionFields.tsx', numbers: '80' },
    { file: 'aim/Outcomes.tsx', numbers: '200' },
    { file: 'app/HelpDialog.tsx', numbers: '60' },
    { file: 'job/Worker.tsx', numbers: '4 60' },
    { file: 'build/OwnStep.tsx', numbers: '8' },
    { file: 'machine/useKeepTrial.ts', numbers: '26 65' },
  ],
  'what a cost is told for, how many turns are shown at first, and less than half a millimetre is none': [
    { file: 'choice/BesidePanel.tsx', numbers: '0.05 0.5 1000' },
    { file: 'choice/CostBar.tsx', numbers: '1000' },
    { file: 'choice/OutcomeCard.tsx', numbers: '3' },
    { file: 'choice/OwnReasonsPanel.tsx', numbers: '300 80' },
    { file: 'choice/RecordPanel.tsx', numbers: '100' },
    { file: 'choice/words.ts', numbers: '10_000' },
  ],
  'a share in percent': [
    { file: 'job/TakePhotos.tsx', numbers: '100' },
    { file: 'job/useSendPhotos.ts', numbers: '100' },
  ],
  'places round the wheel, and parts of a turn as they are written': [
    { file: 'set/SetRecordSheet.tsx', numbers: '4 4' },
    { file: 'set/SetView.tsx', numbers: '4' },
    { file: 'set/StraightPanel.tsx', numbers: '3 4 3 3 4' },
    { file: 'set/words.ts', numbers: '360 4 4 16 16 1e-6 16 16 4 8 16 16 16 16 4' },
  ],
  'how a recording is written, and when one begins; the core judges it': [
    { file: 'set/useMicrophone.ts', numbers: '3 1.3 0.3 5 0.003 60 0.1' },
    { file: 'set/wav.ts', numbers: '44 4 4 36 8 16 16 20 3 22 24 28 4 32 4 34 32 36 40' },
  ],
  'a number for what is not stored': [{ file: 'set/useVisit.ts', numbers: '1e6' }],
}

const MARK_UP =
  /^(style|size|gap|m[tbxy]?|p[tbxy]?|w|h|x|y|[xy]\d|d[xy]?|r[xy]?|c[xy]|width|height|top|transform|strokeWidth|rightSectionWidth|textAnchor)$/
const ROOT = 'src'
const OF_THE_PAGE = /^(?!.*(\.test\.|\.testing\.|schema\.d|testing\.tsx|afterEachTest)).*\.tsx?$/

function numbersOf(file: string): string[] {
  const text = readFileSync(join(ROOT, file), 'utf8')
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS
  const found: string[] = []
  const walk = (node: ts.Node) => {
    if (ts.isJsxAttribute(node) && MARK_UP.test(node.name.getText())) return
    if (ts.isNumericLiteral(node) && Number(node.text) > 2) found.push(node.getText())
    else if (ts.isNumericLiteral(node) && !Number.isInteger(Number(node.text))) found.push(node.getText())
    ts.forEachChild(node, walk)
  }
  walk(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, kind))
  return found
}

describe('numbers in the page’s code', () => {
  it('are listed, each with its reason', () => {
    const files = readdirSync(ROOT, { recursive: true, encoding: 'utf8' }).filter((f) => OF_THE_PAGE.test(f))
    const found = Object.fromEntries(
      files
        .map((file) => [file, numbersOf(file).join(' ')])
        .filter(([, numbers]) => numbers)
        .sort(([a = ''], [b = '']) => (a < b ? -1 : 1)),
    )
    const listed = Object.fromEntries(
      Object.values(LISTED)
        .flat()
        .map(({ file, numbers }) => [file, numbers])
        .sort(([a = ''], [b = '']) => (a < b ? -1 : 1)),
    )
    expect(found).toEqual(listed)
  })
})
