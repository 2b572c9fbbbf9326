import { Button, FileButton, Group, Switch } from '@mantine/core'
import { lazy, Suspense, useState } from 'react'
import { useDueList } from '../api/check'
import type { JobReason } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useMachines, useOpenJobs } from '../api/queries'
import { BeginJob, JobDialog } from '../job/BeginJob'
import { GoesOn, JobDoors } from '../job/GoesOn'
import { isOver } from '../job/lookWords'
import { EmptyState } from '../shell/EmptyState'
import { History } from '../shell/History'
import { PageTitle } from '../shell/PageTitle'
import { useShortcuts } from '../shell/shortcuts'
import { FirstDoors } from './FirstDoors'
import { MachineCardView } from './MachineCardView'
import { useMachineFile } from './useMachineFile'
import { useYardList } from './useYardList'
import { YardTools } from './YardTools'
import classes from './YardView.module.css'

const AddMachineDialog = lazy(() => import('./AddMachineDialog'))
const DueOfYard = lazy(() => import('./DueOfYard'))
const HappenedDialog = lazy(() => import('./HappenedDialog'))
const OdometerRound = lazy(() => import('./OdometerRound'))
const BackupDialog = lazy(() => import('./BackupDialog'))

/** All machines: what they are, what is fitted. */
export function YardView() {
  const machines = useMachines()
  const [withRetired, setWithRetired] = useState(false)
  const [isAdding, setAdding] = useState(false)
  const [isHistory, setHistory] = useState(false)
  const [isBackup, setBackup] = useState(false)
  const [isHappened, setHappened] = useState(false)
  const [isRound, setRound] = useState(false)
  const readFile = useMachineFile()
  useShortcuts({ h: () => setHistory(true) })
  const open = useOpenJobs().data
  const [reason, setReason] = useState<JobReason>()
  const inUse = machines.data?.filter((m) => m.machine.retiredOn === null) ?? []
  const standing = machines.data?.filter((m) => withRetired || m.machine.retiredOn === null) ?? []
  const due = useDueList().data ?? []
  const list = useYardList(standing, {
    jobs: open ?? [],
    due: new Set(due.filter((m) => m.due.items.some((i) => i.isNow || isOver(i))).map((m) => m.machineId)),
  })
  const retired = machines.data?.filter((m) => m.machine.retiredOn !== null).length ?? 0
  return (
    <>
      <PageTitle title="Yard" note="chain and belt drives, from choice to care">
        <Group gap="sm" data-no-print>
          {retired > 0 && (
            <Switch
              label={`show ${retired} retired`}
              checked={withRetired}
              onChange={(event) => setWithRetired(event.currentTarget.checked)}
            />
          )}
          <Button variant="default" onClick={() => setHistory(true)}>
            History
          </Button>
          <Button variant="default" onClick={() => setBackup(true)}>
            Backup
          </Button>
          <FileButton accept="application/json,.json,application/zip,.zip" onChange={readFile.read}>
            {(props) => (
              <Button variant="default" disabled={readFile.isPending} {...props}>
                {readFile.isPending ? `Reading … ${Math.round(readFile.sent * 100)} %` : 'Read from a file'}
              </Button>
            )}
          </FileButton>
          <Button variant="default" onClick={() => setAdding(true)}>
            Add a machine
          </Button>
          {inUse.length > 0 && (
            <Button variant="default" onClick={() => setHappened(true)}>
              Something happened …
            </Button>
          )}
          {inUse.length > 0 && <BeginJob cards={inUse} />}
        </Group>
      </PageTitle>
      {machines.isPending && <EmptyState title="Reading the yard …" />}
      {machines.error !== null && (
        <EmptyState title="The yard can't be read.">{sentenceOf(machines.error)}</EmptyState>
      )}
      {machines.data?.length === 0 && <FirstDoors onAdd={() => setAdding(true)} />}
      <div className={classes.yard}>
        {inUse.length > 0 && (
          <div className={classes.work}>
            <GoesOn cards={machines.data ?? []} />
            <Suspense>
              <DueOfYard cards={inUse} />
            </Suspense>
            <div className={classes.doors}>
              <JobDoors onChoose={setReason} />
            </div>
          </div>
        )}
        <ul className={classes.cards}>
          {standing.length > 0 && (
            <li className={classes.tools}>
              <YardTools
                list={list}
                kinds={[...new Set(standing.map((m) => m.machine.kind))]}
                onOdometers={() => setRound(true)}
              />
            </li>
          )}
          {list.found.length === 0 && list.isNarrowed && (
            <li className={classes.tools}>
              <EmptyState title="No machine of the yard is like that.">
                <button
                  type="button"
                  className={classes.link}
                  onClick={() => list.change({ q: null, kind: null, state: null })}
                >
                  Show all of them
                </button>
              </EmptyState>
            </li>
          )}
          {list.shown.map((card) => (
            <li key={card.machine.id}>
              <MachineCardView
                card={card}
                jobs={open?.filter((j) => j.machineId === card.machine.id) ?? []}
              />
            </li>
          ))}
        </ul>
      </div>
      <JobDialog
        isOpen={reason !== undefined}
        cards={inUse}
        reason={reason}
        onClose={() => setReason(undefined)}
      />
      <Suspense>{isAdding && <AddMachineDialog onClose={() => setAdding(false)} />}</Suspense>
      <Suspense>{isHappened && <HappenedDialog cards={inUse} onClose={() => setHappened(false)} />}</Suspense>
      <Suspense>
        {isRound && (
          <OdometerRound
            cards={list.shown.filter((c) => c.machine.retiredOn === null)}
            onClose={() => setRound(false)}
          />
        )}
      </Suspense>
      <Suspense>{isBackup && <BackupDialog onClose={() => setBackup(false)} />}</Suspense>
      {isHistory && <History title="History of the workshop" onClose={() => setHistory(false)} />}
    </>
  )
}
