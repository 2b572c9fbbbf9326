import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ConflictError } from '../api/client'
import { show } from '../testing'
import ConflictSheet from './ConflictSheet'

afterEach(cleanup)

const base = { id: 1, version: 3, name: 'Curlew', note: 'chain', work: null, masses: { rider: 80, load: 10 } }
const stored = { ...base, version: 4, note: 'new chain', masses: { rider: 90, load: 10 } }
const mine = { ...base, note: 'old chain', masses: { rider: 80, load: 20 } }

function open(current: unknown) {
  const [onChosen, onGone, onLater] = [vi.fn(), vi.fn(), vi.fn()]
  const conflict = new ConflictError('Changed meanwhile.', 'machine', current)
  show(
    <ConflictSheet
      conflict={conflict}
      mine={mine}
      base={base}
      onChosen={onChosen}
      onGone={onGone}
      onLater={onLater}
    />,
  )
  return { onChosen, onGone, onLater }
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }))
const choose = (row: string, whose: string) =>
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: `${row}: which one stands` })).getByText(whose),
  )

describe('a conflict of two windows', () => {
  it('shows both, and only what differs', () => {
    open(stored)
    expect(screen.getByRole('row', { name: /note new chain old chain/ })).toBeTruthy()
    expect(screen.getAllByRole('row')).toHaveLength(4)
  })

  it('begins with what each window touched, mine where both did', () => {
    const { onChosen } = open(stored)
    press('Store it so')
    expect(onChosen).toHaveBeenCalledWith({ ...stored, note: 'old chain', masses: { rider: 90, load: 20 } })
  })

  it('lets the person choose row by row', () => {
    const { onChosen } = open(stored)
    choose('note', 'stored')
    choose('masses › rider', 'yours')
    press('Store it so')
    expect(onChosen).toHaveBeenCalledWith({ ...stored, masses: { rider: 80, load: 20 } })
  })

  it('takes all of one window', () => {
    const { onChosen } = open(stored)
    press('All as stored')
    press('Take what is stored')
    expect(onChosen).toHaveBeenCalledWith(stored)
    press('All as yours')
    press('Store it so')
    expect(onChosen).toHaveBeenLastCalledWith({ ...mine, version: 4 })
  })

  it('is put off without a decision', () => {
    const { onChosen, onLater } = open(stored)
    press('Choose later')
    expect(onLater).toHaveBeenCalled()
    expect(onChosen).not.toHaveBeenCalled()
  })

  it('says when the other window removed it, and offers no storing over nothing', () => {
    const { onGone } = open(null)
    expect(screen.getByText(/It was removed there/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Store it so' })).toBeNull()
    press('Leave it removed')
    expect(onGone).toHaveBeenCalledOnce()
  })
})
