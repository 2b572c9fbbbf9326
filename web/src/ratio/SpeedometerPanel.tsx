import { Button, Group } from '@mantine/core'
import { notifications } from '@mantine/notifications'
import { lazy, Suspense, useState } from 'react'
import { type SetupFigures, setDelivered } from '../api/client'
import { sentenceOf } from '../api/issues'
import { useChange } from '../api/queries'
import type { Workbench } from '../machine/useWorkbench'
import { signed } from '../quantities/format'
import { LabelledValue } from '../shell/LabelledValue'
import classes from './Feel.module.css'

const DeliveredDialog = lazy(() => import('../machine/DeliveredDialog'))

/** What the clock shows with these wheels, against the machine as it was delivered. */
export function SpeedometerPanel({
  bench,
  fitted,
  view,
}: {
  bench: Workbench
  fitted: SetupFigures
  view: SetupFigures | undefined
}) {
  const [isTyping, setTyping] = useState(false)
  const { card, drive } = bench
  const delivered = bench.setups.find((s) => s.status === 'asDelivered')
  const asFitted = useChange(() =>
    setDelivered(card.machine.id, { loops: card.fitted.loops, roadWheels: card.fitted.roadWheels }),
  )
  if (drive.speedPickup === 'none') return null
  const shown = view ?? fitted
  return (
    <div className={classes.feel} style={{ marginTop: 8 }}>
      {shown.speedometer && (
        <>
          <LabelledValue name="speedometer">
            {view && fitted.speedometer && `${errorText(fitted.speedometer.errorPercent)} → `}
            {errorText(shown.speedometer.errorPercent)}
          </LabelledValue>
          {Math.abs(shown.speedometer.errorPercent) >= 0.05 && (
            <p className="cap">
              To be true it needs a correction of {signed(shown.speedometer.correctionPercent, 1)} %.
            </p>
          )}
          {shown.speedometer.showsTooLittle && (
            <p className={classes.caution}>
              ▲ It would show less than true speed. Most road law forbids that: correct it before the road, by
              local rules.
            </p>
          )}
        </>
      )}
      {shown.speedometerNeeds === 'deliveredSetup' && (
        <>
          <p className="cap">
            What the speedometer shows follows from the wheels the machine was delivered with. Nobody has
            typed them yet.
          </p>
          <Group gap="xs" data-no-print>
            <Button size="compact-sm" variant="default" onClick={() => setTyping(true)}>
              Type them once
            </Button>
            <Button
              size="compact-sm"
              variant="default"
              loading={asFitted.isPending}
              onClick={() =>
                asFitted.mutate(undefined, {
                  onError: (error) => notifications.show({ color: 'red', message: sentenceOf(error) }),
                })
              }
            >
              As fitted is as delivered
            </Button>
          </Group>
        </>
      )}
      {shown.speedometerNeeds === 'roadWheelSize' && (
        <p className="cap">Give the size of the road wheel first, under “Edit machine and drive”.</p>
      )}
      {delivered && (
        <Button
          size="compact-xs"
          variant="subtle"
          color="gray"
          mt={4}
          onClick={() => setTyping(true)}
          data-no-print
        >
          compared with as delivered: {wheelsText(bench)}
        </Button>
      )}
      {isTyping && (
        <Suspense>
          <DeliveredDialog bench={bench} delivered={delivered} onClose={() => setTyping(false)} />
        </Suspense>
      )}
    </div>
  )
}

const errorText = (percent: number) => (Math.abs(percent) < 0.05 ? 'true' : `${signed(percent, 1)} %`)

const wheelsText = (bench: Workbench) =>
  bench.setups
    .find((s) => s.status === 'asDelivered')
    ?.loops.map((l) => `${l.frontSize}/${l.rearSize}`)
    .join(', ')
