import { TextInput } from '@mantine/core'
import { type ComponentProps, lazy, Suspense } from 'react'

const DayInput = lazy(() => import('./DayInput'))

/** A day, typed or picked; its calendar is fetched with the first one that is shown. */
export const DayField = (props: ComponentProps<typeof DayInput>) => (
  <Suspense
    fallback={<TextInput label={props.label} size={props.size} value={props.value} disabled readOnly />}
  >
    <DayInput {...props} />
  </Suspense>
)
