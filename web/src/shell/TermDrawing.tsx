import type { ReactNode } from 'react'
import type { GlossaryWord } from '../api/client'
import classes from './Term.module.css'

/** Two wheels and their loop, the driven one on the left, the driving one on the right; y grows downwards. */
const REAR = { x: 62, y: 48, r: 34 }
const FRONT = { x: 214, y: 48, r: 15 }
const UPPER = 'M66 14.2L216 33.1'
const LOWER = 'M66 81.8L216 62.9'

const Loop = ({ children }: { children?: ReactNode }) => (
  <>
    <circle cx={REAR.x} cy={REAR.y} r={REAR.r} data-part="wheel" />
    <circle cx={FRONT.x} cy={FRONT.y} r={FRONT.r} data-part="wheel" />
    <path d={UPPER} data-part="run" />
    <path d={LOWER} data-part="run" />
    {children}
  </>
)

/** What each word of the glossary points at. */
const DRAWINGS: Record<NonNullable<GlossaryWord['drawing']>, ReactNode> = {
  tightRun: (
    <Loop>
      <path d={UPPER} data-part="here" />
      <text x={126} y={16}>
        pulls
      </text>
    </Loop>
  ),
  slackRun: (
    <Loop>
      <path d="M66 81.8Q140 92 216 62.9" data-part="here" />
    </Loop>
  ),
  span: (
    <Loop>
      <path d={LOWER} data-part="here" />
      <path d="M66 76v12M216 57v12" data-part="run" />
    </Loop>
  ),
  freePlay: (
    <Loop>
      <path d="M141 54V94" data-part="here" />
      <path d="M66 81.8Q141 56 216 62.9M66 81.8Q141 112 216 62.9" data-part="run" />
    </Loop>
  ),
  window: (
    <>
      <rect x={90} y={30} width={90} height={36} data-part="band" />
      <path d="M20 66H260M90 60v12M180 60v12" data-part="run" />
      <path d="M135 34V62" data-part="here" />
      <text x={30} y={50}>
        loose
      </text>
      <text x={215} y={50}>
        tight
      </text>
    </>
  ),
  ripple: (
    <>
      <path d="M20 50H260" data-part="run" />
      <path
        d="M20 56Q40 34 60 56Q80 34 100 56Q120 34 140 56Q160 34 180 56Q200 34 220 56Q240 34 260 56"
        data-part="here"
      />
      <text x={20} y={84}>
        speed, tooth by tooth
      </text>
    </>
  ),
  development: (
    <>
      <circle cx={50} cy={44} r={28} data-part="wheel" />
      <circle cx={220} cy={44} r={28} data-part="wheel" />
      <path d="M50 76H220" data-part="here" />
      <text x={88} y={92}>
        one turn of the pedals
      </text>
    </>
  ),
  wrap: (
    <Loop>
      <path d="M216 33.1A15 15 0 0 1 216 62.9" data-part="here" />
      <path d="M214 48L216 33M214 48L216 63" data-part="run" />
    </Loop>
  ),
  reserve: (
    <>
      <rect x={40} y={36} width={200} height={24} rx={12} data-part="wheel" />
      <circle cx={110} cy={48} r={9} data-part="wheel" />
      <path d="M119 48H230" data-part="here" />
      <text x={150} y={80}>
        left to take up
      </text>
    </>
  ),
  tightPlace: (
    <>
      <circle cx={140} cy={48} r={36} data-part="wheel" />
      <path d="M140 12A36 36 0 0 1 173 34" data-part="here" />
      <circle cx={146} cy={44} r={30} data-part="run" />
      <text x={180} y={26}>
        tighter here
      </text>
    </>
  ),
}

export const TermDrawing = ({ of }: { of: NonNullable<GlossaryWord['drawing']> }) => (
  <svg className={classes.drawing} viewBox="0 0 280 100" aria-hidden="true">
    {DRAWINGS[of]}
  </svg>
)
