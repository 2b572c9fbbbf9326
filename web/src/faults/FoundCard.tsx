import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { addJobEvents } from '../api/client'
import type { FaultCure, FaultDesk } from '../api/faults'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'
import { momentText } from '../quantities/days'
import { ReasonedButton } from '../shell/ReasonedButton'
import { Refused } from '../shell/Refused'
import classes from './Faults.module.css'
import type { Fault } from './useFault'

type Found = NonNullable<FaultDesk['found']>

/** The cause is found: what ruled out the others, the cure, and whether it is gone after it. */
export function FoundCard({ fault, desk, found }: { fault: Fault; desk: FaultDesk; found: Found }) {
  const isNormal = found.isCured && found.how === null
  return (
    <section
      className={classes.card}
      aria-label="What was found"
      data-tone={desk.stops.length > 0 ? 'stop' : undefined}
    >
      <p className="cap">
        {[isNormal ? 'Noted as normal' : 'Found', found.who, momentText(found.at)]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <h2 className={classes.ask}>{found.what}</h2>
      {found.why && <p>{found.why}</p>}
      {!found.isCured && <Cure fault={fault} desk={desk} found={found} />}
      {found.how && <p>Mended: {found.how}</p>}
      {found.isCured && !isNormal && <Gone fault={fault} found={found} />}
      <Group className={classes.answers} data-no-print>
        {!found.isCured || isNormal ? (
          <Button variant="subtle" color="gray" onClick={() => fault.takeBack(found.entry)}>
            Take it back: it is something else
          </Button>
        ) : null}
        {(isNormal || found.isGone !== null) && (
          <Button
            variant={found.isGone === false ? 'filled' : 'default'}
            // What it does is said anew: not gone, it does the same.
            onClick={() =>
              fault.describe(
                found.isGone === false
                  ? { isNew: true }
                  : { isNew: true, signs: [], circumstances: [], notSo: [], control: null, words: null },
              )
            }
          >
            {found.isGone === false ? 'Search on: it does the same' : 'Another search'}
          </Button>
        )}
      </Group>
    </section>
  )
}

const PLACES: Record<NonNullable<FaultCure['station']>, string> = {
  aim: 'Aim',
  ratio: 'Ratio',
  fit: 'Fit',
  loads: 'Loads',
  build: 'Build',
  set: 'Set',
  check: 'Check',
}

/** What mends it, where, and the word that it is mended. */
function Cure({ fault, desk, found }: { fault: Fault; desk: FaultDesk; found: Found }) {
  const cures = desk.cures.filter((c) => found.causes.includes(c.cause))
  const [how, setHow] = useState(cures.map((c) => c.cure).join(' '))
  const { machineId, loopKey } = fault.at
  const navigate = useNavigate()
  const jobId = desk.jobId ?? 0
  const stationPath = (station: string) =>
    `/machines/${machineId}/${station}?loops=${encodeURIComponent(loopKey)}`
  const plan = useChange(async (cure: FaultCure) => {
    if (!cure.family || !cure.change) return
    const { family, change } = cure
    const event = {
      kind: 'planMade' as const,
      change,
      loopKey,
      family,
      wanted: null,
      made: null,
      trialId: null,
    }
    await addJobEvents({ id: jobId, events: [{ key: `cure-${found.entry}`, event }] })
    navigate(stationPath('build'))
  }, AGAIN_WHEN_BACK)
  const mend = useChange(
    (words: string) =>
      addJobEvents({
        id: jobId,
        events: desk.open.map((what) => ({
          key: crypto.randomUUID(),
          event: { kind: 'findingCured' as const, what, how: words },
        })),
      }),
    AGAIN_WHEN_BACK,
  )
  return (
    <>
      <p style={{ marginTop: 8 }}>
        <b>Cure:</b> {cures.map((c) => c.cure).join(' ')}
      </p>
      <Group className={classes.answers} data-no-print>
        {cures.map((cure) =>
          cure.station === null ? null : cure.station === 'build' && !desk.hasPlan ? (
            <Button key={cure.cause} loading={plan.isPending} onClick={() => plan.mutate(cure)}>
              Plan it at Build, step by step
            </Button>
          ) : (
            <Button key={cure.cause} component={Link} to={stationPath(cure.station)}>
              To {PLACES[cure.station]}
            </Button>
          ),
        )}
        <Button variant="default" component={Link} to={`/machines/${machineId}/jobs/${jobId}`}>
          To its job
        </Button>
      </Group>
      <Refused error={plan.error} />
      <form
        data-no-print
        onSubmit={(event) => {
          event.preventDefault()
          if (how.trim()) mend.mutate(how.trim())
        }}
      >
        <TextInput
          size="sm"
          label="When it is done: what was done about it"
          value={how}
          onChange={(event) => setHow(event.currentTarget.value)}
        />
        <ReasonedButton
          type="submit"
          variant="default"
          mt={8}
          why={how.trim() ? null : 'Say what was done about it.'}
          loading={mend.isPending}
        >
          It is mended
        </ReasonedButton>
        <Refused error={mend.error} />
      </form>
    </>
  )
}

/** Asked after the cure: that is what this yard's own count comes from. */
function Gone({ fault, found }: { fault: Fault; found: Found }) {
  const judge = (isGone: boolean) => fault.happens({ kind: 'cureJudged', loopKey: fault.at.loopKey, isGone })
  if (found.isGone !== null)
    return <p style={{ marginTop: 8 }}>{found.isGone ? '✓ It is gone.' : '▲ It is not gone.'}</p>
  return (
    <>
      <p style={{ marginTop: 8 }}>
        <b>Is it gone?</b> Try it where it did it before. The answer counts in this yard from now on.
      </p>
      <Group className={classes.answers} data-no-print>
        <Button disabled={fault.isSending} onClick={() => judge(true)}>
          It is gone
        </Button>
        <Button variant="default" disabled={fault.isSending} onClick={() => judge(false)}>
          It still does it
        </Button>
      </Group>
    </>
  )
}
