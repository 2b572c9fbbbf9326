import { Button, Checkbox, Group, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { issueFor } from '../api/issues'
import type { OwnProcedure, ProcedureFamily, ProcedureStep, TorqueThread } from '../api/plan'
import { shareProcedure } from '../api/sharing'
import type { Workbench } from '../machine/useWorkbench'
import { choicesOf } from '../quantities/choices'
import { QuantityField } from '../quantities/QuantityField'
import { ReadSharedButton } from '../sharing/ReadSharedButton'
import { ShareButton } from '../sharing/ShareButton'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import classes from './BuildView.module.css'
import { useOwnProcedure } from './useOwnProcedure'
import { THREAD_WORDS } from './words'

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
  const [isAdding, setAdding] = useState(false)
  const { own, isStored, at, save, store, wordingOf, atWording, reword } = useOwnProcedure(
    bench,
    family,
    () => setAdding(false),
  )
  const added = own.added.find((a) => a.key === step.key)
  return (
    <Panel
      title="For this machine"
      note="stays with it, and goes into its file"
      isEmpty
      aside={
        <Group gap={0}>
          {isStored && (
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
          at={`${at}.added[${own.added.length}]`}
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
          worded={wordingOf(step.key)}
          isPending={save.isPending}
          error={save.error}
          at={atWording(step.key)}
          onStore={(wording) => reword(step.key, wording)}
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

type Words = Pick<OwnProcedure['reworded'][number], 'do' | 'minutes' | 'torqueNm' | 'torqueFor'>

function Wording({
  step,
  worded,
  isPending,
  error,
  at,
  onStore,
}: {
  step: ProcedureStep
  worded: Words | undefined
  isPending: boolean
  error: unknown
  at: string
  onStore: (wording: Words) => void
}) {
  const { fastener } = step
  const [words, setWords] = useState(step.do)
  const [minutes, setMinutes] = useState<number | undefined>(step.minutes)
  const [torqueNm, setTorqueNm] = useState<number | undefined>(fastener?.torqueNm ?? undefined)
  const [torqueFor, setTorqueFor] = useState(fastener?.torqueFor ?? null)
  // What is stored may change beside this form, as when a file is read: then it says what is stored.
  const stored = `${step.do} ${step.minutes} ${fastener?.torqueNm} ${fastener?.torqueFor}`
  const [shown, setShown] = useState(stored)
  if (stored !== shown) {
    setShown(stored)
    setWords(step.do)
    setMinutes(step.minutes)
    setTorqueNm(fastener?.torqueNm ?? undefined)
    setTorqueFor(fastener?.torqueFor ?? null)
  }
  const isOwn = worded && [worded.do, worded.minutes, worded.torqueNm].some((v) => v !== null)
  return (
    <form
      className={classes.ask}
      onSubmit={(event) => {
        event.preventDefault()
        onStore({
          do: words,
          minutes: minutes ?? null,
          torqueNm: torqueNm ?? null,
          torqueFor: torqueNm === undefined ? null : torqueFor,
        })
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
        {fastener?.takesTorque && (
          <>
            <QuantityField
              size="xs"
              label="The maker’s torque"
              quantity="torque"
              value={torqueNm}
              onChange={setTorqueNm}
              error={issueFor(error, `${at}.torqueNm`)}
            />
            <Select
              size="xs"
              label="The maker gives it for"
              placeholder="not said"
              clearable
              disabled={torqueNm === undefined}
              data={choicesOf(THREAD_WORDS)}
              value={torqueNm === undefined ? null : torqueFor}
              onChange={(thread) => setTorqueFor(thread as TorqueThread | null)}
              error={issueFor(error, `${at}.torqueFor`)}
            />
          </>
        )}
      </div>
      <Group gap="xs">
        <Button size="xs" type="submit" variant="default" loading={isPending}>
          Keep it for this machine
        </Button>
        {isOwn && (
          <Button
            size="xs"
            variant="subtle"
            color="gray"
            onClick={() => onStore({ do: null, minutes: null, torqueNm: null, torqueFor: null })}
          >
            As the procedure has it
          </Button>
        )}
      </Group>
      <Refused error={error} fields={['do', 'minutes', 'torqueNm', 'torqueFor'].map((f) => `${at}.${f}`)} />
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
