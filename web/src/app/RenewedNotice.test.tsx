import { act, cleanup, screen } from '@testing-library/react'
import { afterEach, expect, it } from 'vitest'
import { noteBuild } from '../api/client'
import { show } from '../testing'
import { RenewedNotice } from './RenewedNotice'

afterEach(cleanup)

it('asks to load the page again once the program that answers is another one', () => {
  show(<RenewedNotice />)
  for (const build of ['one', null, 'one']) act(() => noteBuild(build))
  expect(screen.queryByRole('status')).toBeNull()
  act(() => noteBuild('two'))
  expect(screen.getByRole('status').textContent).toContain('renewed while this page was open')
  expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy()
})
