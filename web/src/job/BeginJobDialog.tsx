import { Button, Group, Radio, Select, Textarea } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { type JobReason, type MachineCard, openJob } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange, useJobs } from '../api/queries'
import { choicesOf } from '../quantities/choices'
import { DayField } from '../quantities/DayField'
import { today } from '../quantities/days'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import { Dialog } from '../shell/Dialog'
import fields from '../shell/fields.module.css'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import classes from './BeginJobDialog.module.css'
import { ABOUT_LABELS, faultPath, jobPath, REASON_HINTS, REASON_WORDS } from './words'

/** A machine comes in: why, and once what its odometer says. Nothing but the machine is needed. */
export default function BeginJobDialog({
  cards,
  machineId,
  reason: first = 'visit',
  onClose,
}: {
  /** To choose from. */
  cards: MachineCard[]
  /** Chosen already. */
  machineId?: number
  reason?: JobReason
  onClose: () => void
}) {
  const [id, setId] = useState(machineId ?? (cards.length === 1 ? cards[0]?.machine.id : undefined))
  const [reason, setReason] = useState(first)
  const [about, setAbout] = useState('')
  const [openedOn, setOpenedOn] = useState(today())
  const [km, setKm] = useState<number | null>()
  const [hours, setHours] = useState<number | null>()
  const card = cards.find((c) => c.machine.id === id)
  const machine = card?.machine
  const lastHours = useJobs(id).data?.find((j) => j.hours !== null)?.hours ?? undefined
  const navigate = useNavigate()
  const units = useUnits()
  const isLess = km != null && machine?.odometerKm != null && km < machine.odometerKm
  const open = useChange(openJob)
  const begin = async () => {
    if (!machine) return
    // The page may know of the job before this returns, and show no dialog any more.
    const job = await open
      .mutateAsync({
        machineId: machine.id,
        openedOn,
        reason,
        about: about.trim() || null,
        odometerKm: km === undefined ? machine.odometerKm : km,
        hours: hours === undefined ? (lastHours ?? null) : hours,
      })
      .catch(() => undefined) // it stands in the dialog
    if (!job) return
    onClose()
    // Something is wrong: its cause is searched at the loop, the last of several.
    const loop = card?.summary.loops.at(-1)
    navigate(reason === 'somethingWrong' && loop ? faultPath(machine.id, loop.loopKey) : jobPath(job))
  }
  return (
    <Dialog onClose={onClose} size="lg" title="Begin a job">
      <form
        onSubmit={(event) => {
          event.preventDefault()
          begin()
        }}
      >
        {machineId === undefined && (
          <Select
            data-autofocus
            label="Machine"
            searchable
            openOnFocus={false}
            data={cards.map((c) => ({ value: String(c.machine.id), label: c.machine.name }))}
            value={id === undefined ? null : String(id)}
            onChange={(value) => {
              setId(value === null ? undefined : Number(value))
              setKm(undefined)
              setHours(undefined)
            }}
          />
        )}
        <Radio.Group
          label="Begin it by"
          mt="sm"
          value={reason}
          onChange={(value) => setReason(value as JobReason)}
        >
          <div className={classes.reasons}>
            {choicesOf(REASON_WORDS).map(({ value, label }) => (
              <Radio.Card
                key={value}
                value={value}
                // One stop for Tab; the arrows go from one to the next.
                tabIndex={value === reason ? 0 : -1}
                data-autofocus={(machineId !== undefined && value === reason) || undefined}
                aria-label={label}
                aria-description={REASON_HINTS[value]}
                className={classes.reason}
              >
                <Radio.Indicator />
                <span>
                  <b>{label}</b>
                  <span className="cap">{REASON_HINTS[value]}</span>
                </span>
              </Radio.Card>
            ))}
          </div>
        </Radio.Group>
        <Textarea
          label={`${ABOUT_LABELS[reason]} (may be left out)`}
          autosize
          minRows={2}
          value={about}
          onChange={(event) => setAbout(event.currentTarget.value)}
          error={issueFor(open.error, 'about')}
        />
        <div className={fields.fields} style={{ marginTop: 12 }}>
          <DayField
            label="Came in on"
            isNeeded
            value={openedOn}
            onChange={(day) => setOpenedOn(day || today())}
          />
          <QuantityField
            label="Odometer"
            quantity="distance"
            value={km === undefined ? (machine?.odometerKm ?? undefined) : (km ?? undefined)}
            onChange={(value) => setKm(value ?? null)}
            error={issueFor(open.error, 'odometerKm')}
          />
          <QuantityField
            label="Hours run"
            unit="h"
            value={hours === undefined ? lastHours : (hours ?? undefined)}
            onChange={(value) => setHours(value ?? null)}
            error={issueFor(open.error, 'hours')}
          />
        </div>
        <p className="cap">
          {isLess
            ? `It has run ${units.show('distance', machine.odometerKm ?? 0)} already, and goes on from there; the job keeps what is said here. Where the instrument was changed, correct it on the machine.`
            : 'Both may be left out. What the odometer says is what the machine has run from now on.'}
        </p>
        <Refused error={open.error} fields={['about', 'odometerKm', 'hours']} />
        <Group justify="end" mt="md">
          <Button variant="default" onClick={onClose}>
            Not now
          </Button>
          <ReasonedButton
            type="submit"
            why={machine ? null : 'Choose the machine that came in.'}
            loading={open.isPending}
          >
            Begin
          </ReasonedButton>
        </Group>
      </form>
    </Dialog>
  )
}
