import { useMantineColorScheme } from '@mantine/core'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, NavLink, Outlet, useLocation } from 'react-router'
import { useUnits } from '../quantities/units'
import { EmptyState } from '../shell/EmptyState'
import { useShortcuts } from '../shell/shortcuts'
import { LastSeenNotice } from './LastSeenNotice'
import { PLACES } from './places'
import { RenewedNotice } from './RenewedNotice'
import { rememberPlace } from './recentPlaces'
import classes from './Shell.module.css'
import { StorageNotice } from './StorageNotice'
import { UnsentNotice } from './UnsentNotice'
import { useUndoKeys } from './useUndoKeys'

const FindBox = lazy(() => import('./FindBox'))
const HelpDialog = lazy(() => import('./HelpDialog'))

export function Shell() {
  const [isFinding, setFinding] = useState(false)
  const [isHelping, setHelping] = useState(false)
  const units = useUnits()
  const { toggleColorScheme } = useMantineColorScheme()
  useUndoKeys()
  const { pathname } = useLocation()
  useEffect(() => rememberPlace(pathname), [pathname])
  useShortcuts({
    '/': () => setFinding(true),
    '?': () => setHelping(true),
    u: () => units.setSystem(units.system === 'metric' ? 'inch' : 'metric'),
    l: toggleColorScheme,
  })
  return (
    <div className={classes.app}>
      <a className={classes.skip} href="#main">
        Skip to the content
      </a>
      <nav className={classes.rail} aria-label="Places" data-no-print>
        <Link to="/" className={classes.mark} aria-label="Wendrak, to the yard">
          <svg viewBox="0 0 40 40" width="40" height="40" aria-hidden="true">
            <circle cx="14" cy="24" r="9" fill="none" stroke="#E8E4D8" strokeWidth="3" />
            <circle cx="31" cy="13" r="5" fill="none" stroke="#E8E4D8" strokeWidth="3" />
            <path d="M10 15.8L28.5 8M18 32.2L33.5 17.6" stroke="#6FC2AE" strokeWidth="2.5" />
          </svg>
        </Link>
        {PLACES.map((p) => (
          <NavLink key={p.path} to={p.path} end={p.path === '/'} className={classes.place}>
            <p.icon />
            {p.name}
          </NavLink>
        ))}
        <span className={classes.spring} />
        <button type="button" className={classes.place} onClick={() => setFinding(true)}>
          <kbd>/</kbd>
          Find
        </button>
        <button type="button" className={classes.place} onClick={() => setHelping(true)}>
          <kbd>?</kbd>
          Keys
        </button>
      </nav>
      <main className={classes.main} id="main">
        <StorageNotice />
        <LastSeenNotice />
        <UnsentNotice />
        <RenewedNotice />
        <Suspense fallback={<EmptyState title="Opening …" />}>
          <Outlet />
        </Suspense>
      </main>
      <Suspense>{isFinding && <FindBox onClose={() => setFinding(false)} />}</Suspense>
      <Suspense>{isHelping && <HelpDialog onClose={() => setHelping(false)} />}</Suspense>
    </div>
  )
}
