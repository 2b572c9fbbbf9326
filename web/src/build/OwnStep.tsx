import { Button, Checkbox, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import type { OwnProcedure, ProcedureFamily, ProcedureStep } from '../api/plan'
import { shareProcedure } from '../api/sharing'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { QuantityField } from '../quantities/QuantityField'
import { ReadSharedButton } from '../sharing/ReadSharedButton'
import { ShareButton } from '../sharing/ShareButton'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './BuildView.module.css'

/** A step in this machine's own words, minutes and torque, and steps that only this machine has. They stay with it. */
export function OwnStep({
  bench,
  family,
  step,
}: {
  bench: Workbench
  family: ProcedureFamily
  step: ProcedureStep
}) {
  const all = bench.card.machine.procedures ?? []
  const own: OwnProcedure = all.find((p) => p.family === family) ?? { family, reworded: [], added: [] }
  const added = own.added.find((a) => a.key === step.key)
  const worded = own.reworded.find((w) => w.step === step.key)
  const at = `machine.procedures[${all.includes(own) ? all.indexOf(own) : all.length}]`
  const [isAdding, setAdding] = useState(false)
  const save = useMachineSave(bench.card, () => setAdding(false))
  const store = (next: OwnProcedure) => {
    const isEmpty = next.reworded.length === 0 && next.added.length === 0
    const others = all.filter((p) => p.family !== family)
    const procedures = all.includes(own)
      ? all.flatMap((p) => (p.family === family ? (isEmpty ? [] : [next]) : [p]))
      : isEmpty
        ? others
        : [...others, next]
    save.store({
      machine: { ...bench.card.machine, procedures: procedures.length === 0 ? null : procedures },
      fitted: bench.card.fitted.loops,
      fittedVersion: bench.card.fitted.version,
    })
  }
  return (
    <Panel
      title="For this machine"
      note="stays with it, and goes into its file"
      isEmpty
      aside={
        <Group gap={0}>
          {all.includes(own) && (
            <ShareButton
              name="this machine’s own steps"
              about="Words, minutes and torques that this machine has of its own, and steps that only it has, for all of this procedure."
              write={(author) => shareProcedure(bench.card.machine.id, family, author)}
            />
          )}
          <ReadSharedButton
            name="steps"
            kind="procedure"
            into={{ machineId: bench.card.machine.id, driveKey: null }}
          />
        </Group>
      }
    >
      {isAdding ? (
        <NewStep
          step={step}
          isPending={save.isPending}
          error={save.error}
          at={`${at.replace('machine.', '')}.added[${own.added.length}]`}
          onStore={(next) => store({ ...own, added: [...own.added, next] })}
          onBack={() => setAdding(false)}
        />
      ) : added ? (
        <>
          <p className="cap">Only this machine has this step.</p>
          <Button
            size="compact-sm"
            variant="default"
            mt="xs"
            loading={save.isPending}
            onClick={() => store({ ...own, added: own.added.filter((a) => a.key !== step.key) })}
          >
            Take this step out
          </Button>
          <Refused error={save.error} />
        </>
      ) : (
        <Wording
          step={step}
          isOwn={worded !== undefined}
          isPending={save.isPending}
          error={save.error}
          at={`${at.replace('machine.', '')}.reworded[${worded ? own.reworded.indexOf(worded) : own.reworded.length}]`}
          onStore={(wording) =>
            store({
              ...own,
              reworded: worded
                ? own.reworded.flatMap((w) => (w === worded ? (wording ? [wording] : []) : [w]))
                : [...own.reworded, ...(wording ? [wording] : [])],
            })
          }
        />
      )}
      {!isAdding && (
        <Button size="compact-sm" variant="subtle" color="gray" mt="xs" onClick={() => setAdding(true)}>
          Add a step after this one
        </Button>
      )}
      {save.dialog}
    </Panel>
  )
}

function Wording({
  step,
  isOwn,
  isPending,
  error,
  at,
  onStore,
}: {
  step: ProcedureStep
  isOwn: boolean
  isPending: boolean
  error: unknown
  at: string
  onStore: (wording: OwnProcedure['reworded'][number] | null) => void
}) {
  const [words, setWords] = useState(step.do)
  const [minutes, setMinutes] = useState<number | undefined>(step.minutes)
  const [torqueNm, setTorqueNm] = useState<number | undefined>(step.fastener?.torqueNm ?? undefined)
  // What is stored may change beside this form, as when a file is read: then it says what is stored.
  const stored = `${step.do} ${step.minutes} ${step.fastener?.torqueNm}`
  const [shown, setShown] = useState(stored)
  if (stored !== shown) {
    setShown(stored)
    setWords(step.do)
    setMinutes(step.minutes)
    setTorqueNm(step.fastener?.torqueNm ?? undefined)
  }
  return (
    <form
      className={classes.ask}
      onSubmit={(event) => {
        event.preventDefault()
        onStore({ step: step.key, do: words, minutes: minutes ?? null, torqueNm: torqueNm ?? null })
      }}
    >
      <TextInput
        size="xs"
        label="In this machine’s words"
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
        error={issueFor(error, `${at}.do`)}
      />
      <div className={classes.fields}>
        <QuantityField
          size="xs"
          label="Usual time"
          unit="min"
          value={minutes}
          onChange={setMinutes}
          error={issueFor(error, `${at}.minutes`)}
        />
        {step.fastener && (
          <QuantityField
            size="xs"
            label="The maker’s torque"
            quantity="torque"
            value={torqueNm}
            onChange={setTorqueNm}
            error={issueFor(error, `${at}.torqueNm`)}
          />
        )}
      </div>
      <Group gap="xs">
        <Button size="xs" type="submit" variant="default" loading={isPending}>
          Keep it for this machine
        </Button>
        {isOwn && (
          <Button size="xs" variant="subtle" color="gray" onClick={() => onStore(null)}>
            As the procedure has it
          </Button>
        )}
      </Group>
      <Refused error={error} fields={['do', 'minutes', 'torqueNm'].map((f) => `${at}.${f}`)} />
    </form>
  )
}

function NewStep({
  step,
  isPending,
  error,
  at,
  onStore,
  onBack,
}: {
  step: ProcedureStep
  isPending: boolean
  error: unknown
  at: string
  onStore: (added: OwnProcedure['added'][number]) => void
  onBack: () => void
}) {
  const [words, setWords] = useState('')
  const [why, setWhy] = useState('')
  const [minutes, setMinutes] = useState<number>()
  const [isMust, setMust] = useState(false)
  return (
    <form
      className={classes.ask}
      onSubmit={(event) => {
        event.preventDefault()
        onStore({
          key: `own-${crypto.randomUUID().slice(0, 8)}`,
          phase: step.phase,
          after: step.key,
          do: words,
          why,
          minutes: minutes ?? 0,
          isMust,
        })
      }}
    >
      <p className="cap">After “{step.do}”</p>
      <TextInput
        size="xs"
        label="What to do"
        value={words}
        onChange={(event) => setWords(event.currentTarget.value)}
        error={issueFor(error, `${at}.do`)}
      />
      <TextInput
        size="xs"
        label="Why"
        value={why}
        onChange={(event) => setWhy(event.currentTarget.value)}
        error={issueFor(error, `${at}.why`)}
      />
      <QuantityField
        size="xs"
        label="Usual time"
        unit="min"
        value={minutes}
        onChange={setMinutes}
        error={issueFor(error, `${at}.minutes`)}
      />
      <Checkbox
        size="xs"
        label="It does not go out without"
        checked={isMust}
        onChange={(event) => setMust(event.currentTarget.checked)}
      />
      <Group gap="xs">
        <Button size="xs" type="submit" variant="default" loading={isPending}>
          Add it
        </Button>
        <Button size="xs" variant="subtle" color="gray" onClick={onBack}>
          Never mind
        </Button>
      </Group>
      <Refused error={error} fields={['do', 'why', 'minutes'].map((f) => `${at}.${f}`)} />
    </form>
  )
}
