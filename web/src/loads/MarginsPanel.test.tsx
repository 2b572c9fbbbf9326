import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { CheckMends, LoadCheck, LoopLoadsResult } from '../api/client'
import { show } from '../testing'
import { MarginsPanel } from './MarginsPanel'

afterEach(cleanup)

const check = (kind: LoadCheck['kind'], part: Partial<LoadCheck> = {}): LoadCheck => ({
  kind,
  point: 'hardestPull',
  value: 6,
  limit: 3,
  side: 'atLeast',
  margin: 2,
  verdict: 'fine',
  isAdvisory: false,
  source: 'a standard',
  missing: null,
  unjudged: null,
  ...part,
})
const panel = (checks: LoadCheck[], mends: CheckMends[] = [], part: Partial<LoopLoadsResult> = {}) =>
  show(
    <MarginsPanel
      answer={
        {
          checks,
          isJudged: true,
          verdict: checks[0]?.verdict ?? 'notApplicable',
          smallest: null,
          ...part,
        } as LoopLoadsResult
      }
      mends={mends}
      isToothed
      isStale={false}
      onWorking={() => {}}
    />,
  )
const row = (name: RegExp) => screen.getByRole('row', { name })
const width = (name: RegExp) => row(name).querySelector('i')?.style.width

describe('margins', () => {
  it('tells value, limit, which side of it is good, and the value beside its limit', () => {
    panel([check('breakingLoad')])
    expect(row(/^Breaking load/).textContent).toMatch(/hardest pull×6\.00at least ×3\.00fine/)
    expect(width(/^Breaking load/)).toBe('100%')
  })

  it('goes on past the limit, and says where the bar ends', () => {
    panel([
      check('ripple', { value: 3, limit: 2, side: 'atMost', margin: 2 / 3, verdict: 'watch' }),
      check('galling', { value: 9, limit: 2, side: 'atMost', margin: 2 / 9, verdict: 'stop' }),
    ])
    expect(width(/^Speed ripple/)).toBe('75%')
    expect(row(/^Speed ripple/).textContent).toMatch(/3\.0 %at most 2\.0 %watch/)
    expect(row(/^Small sprocket against galling/).textContent).toContain('»')
  })

  it('gives one verdict, and names the row that decides it', () => {
    const margin = check('breakingLoad', { margin: 1.4 })
    panel([check('ripple', { verdict: 'stop' }), margin], [], { smallest: margin })
    expect(screen.getByRole('status').textContent).toBe(
      '■ stop: speed ripple, hardest pull. Smallest margin ×1.40, breaking load over pull',
    )
    cleanup()
    panel([margin], [], { smallest: margin })
    expect(screen.getByRole('status').textContent).toBe(
      '✓ fine: smallest margin ×1.40, breaking load over pull',
    )
  })

  it('names beside the verdict what can’t be told yet', () => {
    const margin = check('breakingLoad', { margin: 1.4 })
    const unknown = check('pinPressure', { value: null, margin: null, unjudged: 'inputMissing' })
    panel([margin, unknown], [], { smallest: margin })
    expect(screen.getByRole('status').textContent).toMatch(/^✓ fine: .* not known: pressure in the pins$/)
  })

  it('says what would mend it, and the limit where that moves too', () => {
    const poor = check('rating', {
      value: 6.28,
      limit: 2.91,
      margin: 0.46,
      verdict: 'advice',
      isAdvisory: true,
    })
    panel(
      [poor],
      [
        {
          kind: 'rating',
          point: 'hardestPull',
          mends: [{ kind: 'moreStrands', to: 3, size: null, value: 6.28, limit: 7.3 }],
        },
      ],
    )
    expect(row(/^Power/).textContent).toMatch(/mends it: 3 side by side: 6\.28\skW of 7\.30\skW/)
    expect(row(/^Power/).textContent).toContain('short bursts only')
  })

  it('names what it would need to know', () => {
    panel([
      check('slip', {
        value: null,
        limit: null,
        margin: null,
        verdict: 'notApplicable',
        missing: 'Strength.InstalledTensionN',
        unjudged: 'inputMissing',
      }),
    ])
    expect(row(/^Slip margin/).textContent).toMatch(/needs the tension as set.*not known/)
  })

  it('says that a check can’t be made, and why', () => {
    panel([
      check('smallPulley', { limit: null, margin: null, verdict: 'notApplicable', unjudged: 'tableSilent' }),
    ])
    expect(row(/^Smaller pulley/).textContent).toMatch(/the tables have no value here.*not known/)
  })

  it('keeps the figures and drops the verdict where this tool must not decide', () => {
    panel([check('breakingLoad', { verdict: 'notApplicable', unjudged: 'notDecidedHere' })], [], {
      isJudged: false,
    })
    expect(row(/^Breaking load/).textContent).toContain('×6.00')
    expect(screen.queryByText(/fine|watch|stop|not known/)).toBeNull()
  })
})
