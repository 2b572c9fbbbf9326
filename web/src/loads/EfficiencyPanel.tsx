import { SegmentedControl } from '@mantine/core'
import type { LoadSource, LoopLoadsResult } from '../api/client'
import { figure, fixed } from '../quantities/format'
import { Panel } from '../shell/Panel'
import table from '../shell/table.module.css'

const SCHOOL_WORDS: Record<LoopLoadsResult['efficiency'][number]['school'], string> = {
  testBench: 'clean, near its power',
  everyday: 'dirt and part load',
}

const USUAL = 'usual'

const watts = (kw: number) => figure(kw * 1000, 2)

/** What the loop passes on, by both schools: the trade disagrees which kind loses more. */
export function EfficiencyPanel({
  efficiency,
  counted,
  onCount,
}: Pick<LoopLoadsResult, 'efficiency'> & {
  /** The school the pull is counted with; null for the usual figures between both. */
  counted: LoadSource['efficiency']
  onCount: (school: LoadSource['efficiency']) => void
}) {
  return (
    <Panel title="Efficiency" note="ranges; the trade disagrees">
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">looked at</th>
            <th scope="col">passed on</th>
            <th scope="col">lost while cruising</th>
          </tr>
        </thead>
        <tbody>
          {efficiency.map((e) => (
            <tr key={e.school} title={e.source}>
              <th scope="row">{SCHOOL_WORDS[e.school]}</th>
              <td className="num">
                {fixed(e.low * 100, 0)} to {fixed(e.high * 100, 0)} %
              </td>
              <td className="num">
                {e.lossLeastKw === null || e.lossMostKw === null
                  ? '–'
                  : `${watts(e.lossLeastKw)} to ${watts(e.lossMostKw)} W`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <SegmentedControl
        size="xs"
        mt={6}
        aria-label="Counted with"
        value={counted ?? USUAL}
        onChange={(value) => onCount(value === USUAL ? null : value)}
        data={[
          { value: USUAL, label: 'between both' },
          ...efficiency.map((e) => ({ value: e.school, label: SCHOOL_WORDS[e.school] })),
        ]}
        data-no-print
      />
      <p className="cap" style={{ marginTop: 6 }}>
        The pull is counted with the middle of the one chosen. On the bench a clean chain loses less than a
        belt; in dirt and at part load many find it the other way round. From memory and common practice.
      </p>
    </Panel>
  )
}
