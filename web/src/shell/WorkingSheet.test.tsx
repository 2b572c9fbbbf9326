import { cleanup, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import type { Working } from '../api/client'
import { show } from '../testing'
import WorkingSheet from './WorkingSheet'

afterEach(cleanup)

const working: Working = {
  title: 'Rolling circumference',
  formula: 'U = π · D · k',
  values: [
    { symbol: 'D', meaning: 'free diameter', value: 629.8, unit: 'mm', isDefault: false },
    { symbol: 'k', meaning: 'rolling factor', value: 0.971, unit: '', isDefault: true },
  ],
  result: { symbol: 'U', meaning: 'rolling circumference', value: 1921.2, unit: 'mm', isDefault: false },
  source: 'ISO 5751',
  limits: 'Makers differ by 1 to 2 %.',
  beside: [{ symbol: 'U_0', meaning: 'as fitted', value: 1950, unit: 'mm', isDefault: false }],
}

describe('a working', () => {
  it('shows formula, values, result, source and limits', () => {
    show(<WorkingSheet title="Working" workings={[working]} onClose={() => {}} />)
    const section = screen.getByRole('region', { name: 'Rolling circumference' })
    for (const text of ['U = π · D · k', 'free diameter', '629.8 mm', '1 921.2 mm', 'as fitted', '1 950 mm'])
      expect(within(section).getByText(text)).toBeTruthy()
    expect(section.textContent).toContain('Source: ISO 5751. Makers differ')
  })

  it('sets indices and exponents as a handbook does', () => {
    show(
      <WorkingSheet
        title="Working"
        workings={[{ ...working, formula: 'F_1 = F·N^1.08/e^(f_e·θ)' }]}
        onClose={() => {}}
      />,
    )
    const formula = screen.getByRole('region').querySelector('p')
    expect([...(formula?.querySelectorAll('sub, sup') ?? [])].map((e) => e.textContent)).toEqual([
      '1',
      '1.08',
      'e',
    ])
    expect(formula?.textContent).toBe('F1 = F·N1.08/e^(fe·θ)')
  })

  it('marks a value that nobody gave', () => {
    show(<WorkingSheet title="Working" workings={[working]} onClose={() => {}} />)
    const row = (symbol: string) => screen.getByRole('rowheader', { name: symbol }).closest('tr')?.textContent
    expect(row('k')).toContain('assumed')
    expect(row('D')).not.toContain('default')
  })
})
