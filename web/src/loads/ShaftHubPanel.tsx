import { useState } from 'react'
import type { LoopJoint, LoopLoadsResult, ShaftHubCapacityInput } from '../api/client'
import { useDebouncedDraft, useEvaluation } from '../api/evaluation'
import { issueFor } from '../api/issues'
import { DraftBar } from '../machine/DraftBar'
import type { Workbench } from '../machine/useWorkbench'
import { ChoiceField } from '../quantities/ChoiceField'
import { fixed } from '../quantities/format'
import { QuantityField } from '../quantities/QuantityField'
import { useUnits } from '../quantities/units'
import fields from '../shell/fields.module.css'
import { LabelledValue } from '../shell/LabelledValue'
import { Panel } from '../shell/Panel'
import { Refused } from '../shell/Refused'
import table from '../shell/table.module.css'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import { usePlaceholder } from './StrengthFields'
import { type Loads, loadsWith } from './useLoads'
import { VERDICT_TONES, VERDICT_WORDS } from './words'

type Carrier = ShaftHubCapacityInput['carrier']
type Kind = Carrier['kind']

const KIND_WORDS: Record<Kind, string> = {
  key: 'key',
  spline: 'spline',
  boltCircle: 'bolt circle',
  shaft: 'shaft, twisted',
}

/** Sizes of each kind, with what they are called and measured in. */
const SIZES: Record<Kind, [field: string, label: string, isCount?: boolean][]> = {
  key: [
    ['shaftMm', 'Shaft'],
    ['widthMm', 'Key width'],
    ['heightMm', 'Key height'],
    ['lengthMm', 'Bears over'],
  ],
  spline: [
    ['splines', 'Splines', true],
    ['outerMm', 'Over the splines'],
    ['innerMm', 'At their feet'],
    ['lengthMm', 'Bears over'],
  ],
  boltCircle: [
    ['bolts', 'Bolts', true],
    ['circleMm', 'Bolt circle'],
    ['boltMm', 'Bolt in the joint'],
  ],
  shaft: [
    ['diameterMm', 'Thinnest diameter'],
    ['boreMm', 'Bore'],
  ],
}

const STRESS_WORDS = { shear: 'shear', bearing: 'pressure', torsion: 'twist' }

type Typed = { sizes: Record<string, number | undefined>; yieldMpa?: number; proofTorqueNm?: number }

/** Whether key, spline, bolts or shaft hold what the loop asks of them, measured with the part in hand and stored with the machine. */
export function ShaftHubPanel({
  bench,
  loads,
  answer: { hardestTorqueNm: torqueNm },
}: {
  bench: Workbench
  loads: Loads
  answer: LoopLoadsResult
}) {
  const units = useUnits()
  const placeholder = usePlaceholder()
  const { machine } = bench.card
  const [side, setSide] = useState<LoopJoint['side']>('front')
  const stored = machine.loads?.joints?.find((j) => j.loopKey === loads.loop.loopKey && j.side === side)
  const [draft, setDraft] = useState<{ of: string; kind: Kind; typed: Typed } | null>(null)
  const [otherTorqueNm, setOtherTorque] = useState<number>()
  const [isWorking, setWorking] = useState(false)
  // What was typed belongs to the wheel it was typed for, and to what was stored then.
  const of = JSON.stringify([loads.loop.loopKey, side, stored])
  const own = draft?.of === of ? draft : null
  const kind = own?.kind ?? stored?.carrier.kind ?? 'key'
  const typed = own?.typed ?? typedOf(stored)
  const put = (part: Partial<Typed>, of_kind = kind) =>
    setDraft({ of, kind: of_kind, typed: { ...typed, ...part } })
  const { sizes } = typed
  const known = SIZES[kind].every(([field]) => sizes[field] !== undefined)
  const joint = known
    ? {
        loopKey: loads.loop.loopKey,
        side,
        carrier: {
          kind,
          ...Object.fromEntries(SIZES[kind].map(([field]) => [field, sizes[field]])),
        } as Carrier,
        yieldMpa: typed.yieldMpa ?? null,
        proofTorqueNm: typed.proofTorqueNm ?? null,
      }
    : undefined
  const answer = useEvaluation(
    bench.subject,
    'shaftHub',
    useDebouncedDraft(
      joint && {
        carrier: joint.carrier,
        torqueNm: otherTorqueNm ?? null,
        yieldMpa: joint.yieldMpa,
        proofTorqueNm: joint.proofTorqueNm,
        ...loads.question,
      },
    ),
  )
  const result = known ? answer.data : undefined
  return (
    <Panel
      title="What carries the torque"
      isStale={answer.isStale}
      aside={result && <WhyButton onClick={() => setWorking(true)} />}
      isEmpty={!known}
    >
      <div className={fields.fields} data-no-print>
        <ChoiceField
          size="xs"
          label="Of the wheel"
          words={{ front: 'front', rear: 'rear' }}
          value={side}
          onChange={setSide}
        />
        <ChoiceField
          size="xs"
          label="Joint"
          words={KIND_WORDS}
          value={kind}
          onChange={(value) => put({ sizes: {} }, value)}
        />
        {SIZES[kind].map(([field, label, isCount]) => (
          <QuantityField
            key={kind + field}
            size="xs"
            label={label}
            quantity={isCount ? undefined : 'fine'}
            value={sizes[field]}
            isCount={isCount}
            onChange={(value) => put({ sizes: { ...sizes, [field]: value } })}
            error={issueFor(answer.error, `carrier.${field}`)}
          />
        ))}
        <QuantityField
          size="xs"
          label="Torque"
          quantity="torque"
          placeholder={placeholder(torqueNm, 'torque')}
          value={otherTorqueNm}
          onChange={setOtherTorque}
          error={issueFor(answer.error, 'torqueNm')}
        />
        <QuantityField
          size="xs"
          label="Yield strength"
          quantity="pressure"
          placeholder={placeholder(result?.yieldMpa, 'pressure')}
          value={typed.yieldMpa}
          onChange={(yieldMpa) => put({ yieldMpa })}
          error={issueFor(answer.error, 'yieldMpa')}
        />
        <QuantityField
          size="xs"
          label="Held in a test"
          quantity="torque"
          value={typed.proofTorqueNm}
          onChange={(proofTorqueNm) => put({ proofTorqueNm })}
          error={issueFor(answer.error, 'proofTorqueNm')}
        />
      </div>
      <Refused error={answer.error} />
      {!known && (
        <p className="cap">Measure the joint: the sum follows. A torque that it held in a test says more.</p>
      )}
      {result && (
        <>
          {result.stresses.map((s) => (
            <LabelledValue key={s.kind} name={STRESS_WORDS[s.kind]}>
              {units.show('pressure', s.stressMpa)} of {units.show('pressure', s.yieldMpa)}
            </LabelledValue>
          ))}
          <p style={{ marginTop: 6 }}>
            {result.verdict !== 'notApplicable' && (
              <span className={table.tag} data-tone={VERDICT_TONES[result.verdict]}>
                {VERDICT_WORDS[result.verdict]}
              </span>
            )}{' '}
            ×{fixed(result.margin, 2)}
            {result.isProven ? ' by the test that was written down' : ' against yield'}
            {result.verdict === 'notApplicable'
              ? '. Whether that will do is not decided here.'
              : `; ×${fixed(result.wantedMargin, 2)} or more is wanted.`}
          </p>
        </>
      )}
      {own && (
        <DraftBar
          card={bench.card}
          machine={{
            ...machine,
            loads: loadsWith(machine.loads, {
              joints: [
                ...(machine.loads?.joints ?? []).filter(
                  (j) => j.loopKey !== loads.loop.loopKey || j.side !== side,
                ),
                ...(joint ? [joint] : []),
              ],
            }),
          }}
          isPossible={joint !== undefined && !answer.error}
          onBack={() => setDraft(null)}
        >
          {joint ? 'measured, not stored' : 'not all measured yet'}
        </DraftBar>
      )}
      {isWorking && result && (
        <WorkingDialog
          title="Working: what carries the torque"
          workings={result.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </Panel>
  )
}

const typedOf = (joint: LoopJoint | undefined): Typed =>
  joint
    ? {
        sizes: Object.fromEntries(
          Object.entries(joint.carrier).filter(([field]) => field !== 'kind') as [string, number][],
        ),
        yieldMpa: joint.yieldMpa ?? undefined,
        proofTorqueNm: joint.proofTorqueNm ?? undefined,
      }
    : { sizes: {} }
