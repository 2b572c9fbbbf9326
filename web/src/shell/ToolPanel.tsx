import { type ReactNode, useState } from 'react'
import type { Working } from '../api/client'
import { issueFor } from '../api/issues'
import type { Computed } from '../api/queries'
import { QuantityField } from '../quantities/QuantityField'
import type { Quantity } from '../quantities/units'
import classes from './fields.module.css'
import { Outdated } from './Outdated'
import { Panel } from './Panel'
import { Refused } from './Refused'
import { WhyButton } from './WhyButton'
import { WorkingDialog } from './WorkingDialog'

export interface ToolField<K extends string> {
  key: K
  label: string
  quantity?: Quantity
  unit?: string
  isCount?: boolean
  placeholder?: string
  /** Where it is refused, if it is not asked by its own name. */
  at?: string
}

interface Props<V, R> {
  /** A panel of its own; without it a part of the one around it. */
  title?: string
  note?: string
  fields: ToolField<keyof V & string>[]
  /** What was typed so far. */
  values: V
  onChange: (values: V) => void
  answer: Computed<R>
  /** Of what the answer in view is, should it be out of date. */
  of?: string
  /** Name of its working, or what shows one that is asked for by itself; without it there is none. */
  working?: string | ((onClose: () => void) => ReactNode)
  /** What is chosen and not typed, before the fields. */
  above?: ReactNode
  below?: ReactNode
  /** What stands there until there is an answer. */
  empty?: ReactNode
  children: (answer: R, why: ReactNode) => ReactNode
}

/** A small tool: fields, what is answered to them, and how that came about. */
export function ToolPanel<
  V extends Partial<Record<keyof V, number | null>>,
  R extends { workings?: Working[] },
>({
  title,
  note,
  fields,
  values,
  onChange,
  answer: { data, error, isStale },
  of = '',
  working,
  above,
  below,
  empty,
  children,
}: Props<V, R>) {
  const [isWorking, setWorking] = useState(false)
  const close = () => setWorking(false)
  const why = working && <WhyButton onClick={() => setWorking(true)} />
  const tool = (
    <>
      {above}
      <div className={classes.fields} style={{ marginTop: above ? 8 : 0 }}>
        {fields.map(({ key, at, ...field }) => (
          <QuantityField
            key={key}
            size="xs"
            {...field}
            value={values[key] ?? undefined}
            onChange={(value) => onChange({ ...values, [key]: value })}
            error={issueFor(error, at ?? key)}
          />
        ))}
      </div>
      {below}
      <Refused error={error} fields={fields.map((f) => f.at ?? f.key)} />
      {!data && empty}
      {data && !title && (
        <Outdated isStale={isStale} of={of}>
          {children(data, why)}
        </Outdated>
      )}
      {data && title && children(data, why)}
      {isWorking &&
        data &&
        (typeof working === 'function' ? (
          working(close)
        ) : (
          <WorkingDialog title={`Working: ${working}`} workings={data.workings} onClose={close} />
        ))}
    </>
  )
  return title ? (
    <Panel title={title} note={note} isStale={isStale} isEmpty={!data} aside={data && why}>
      {tool}
    </Panel>
  ) : (
    tool
  )
}
