import { cleanup, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { CheckMends, LoadCheck } from '../api/client'
import { show } from '../testing'
import { MarginsPanel } from './MarginsPanel'

afterEach(cleanup)

const check = (kind: LoadCheck['kind'], part: Partial<LoadCheck> = {}): LoadCheck => ({
  kind,
  point: 'hardestPull',
  value: 6,
  limit: 3,
  margin: 2,
  verdict: 'fine',
  isAdvisory: false,
  source: 'a standard',
  missing: null,
  ...part,
})
const panel = (checks: LoadCheck[], mends: CheckMends[] = [], isJudged = true) =>
  show(
    <MarginsPanel
      checks={checks}
      mends={mends}
      isToothed
      isJudged={isJudged}
      isStale={false}
      onWorking={() => {}}
    />,
  )
const row = (name: RegExp) => screen.getByRole('row', { name })

describe('margins', () => {
  it('tells value, limit, verdict and how much of the limit is used', () => {
    panel([check('breakingLoad')])
    expect(row(/^Breaking load/).textContent).toMatch(/hardest pull×6\.00×3\.00fine/)
    expect(
      row(/^Breaking load/)
        .querySelector('i')
        ?.getAttribute('style'),
    ).toContain('50%')
  })

  it('never draws more than the whole bar', () => {
    panel([check('ripple', { value: 3, limit: 2, margin: 2 / 3, verdict: 'watch' })])
    expect(
      row(/^Speed ripple/)
        .querySelector('i')
        ?.getAttribute('style'),
    ).toContain('100%')
    expect(row(/^Speed ripple/).textContent).toContain('±3.0 %')
  })

  it('says what would mend it, and the limit where that moves too', () => {
    const poor = check('rating', {
      value: 6.28,
      limit: 2.91,
      margin: 0.46,
      verdict: 'watch',
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
    expect(row(/^Power/).textContent).toContain('watch · bursts only')
  })

  it('names what it would need to know', () => {
    panel([
      check('slip', {
        value: null,
        limit: null,
        margin: null,
        verdict: 'notApplicable',
        missing: 'Strength.InstalledTensionN',
      }),
    ])
    expect(row(/^Slip margin/).textContent).toMatch(/needs the tension as set.*not known/)
  })

  it('keeps the figures and drops the verdict where this tool must not decide', () => {
    panel([check('breakingLoad', { verdict: 'notApplicable' })], [], false)
    expect(row(/^Breaking load/).textContent).toContain('×6.00')
    expect(screen.queryByText(/fine|watch|stop|not known/)).toBeNull()
  })
})
