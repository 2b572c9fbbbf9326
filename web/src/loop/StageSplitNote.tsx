import { useState } from 'react'
import type { StageSplit } from '../api/client'
import { fixed, plain, signed } from '../quantities/format'
import { WhyButton } from '../shell/WhyButton'
import { WorkingDialog } from '../shell/WorkingDialog'
import classes from './StageSplitNote.module.css'

/** A loop that is asked too much says so, and how the ratio is best shared. */
export function StageSplitNote({ split }: { split: StageSplit }) {
  const [isWorking, setWorking] = useState(false)
  const { because, pairs } = split
  return (
    <div className={classes.split} role="note" aria-label="A second stage">
      <p>
        <b>
          {fixed(split.ratio, 2)} to 1 is much for one stage
          {because === 'ratioTooLarge'
            ? `: up to ${plain(split.mostRatio)} (${split.mostRatioSource}).`
            : `: with ${plain(split.fewestSize ?? 0)} ${split.sizeUnit} at the small wheel, the fewest that are more than a makeshift, the large one would not find room.`}
        </b>{' '}
        {pairs.length > 2 ? `Best by ${pairs.length} stages` : 'Best by a second stage'}
        {`, ${fixed(split.each, 2)} to 1 in each: `}
        {pairs.map((p) => `${plain(p.frontSize)} / ${plain(p.rearSize)}`).join(', then ')}
        {`, together ${fixed(split.gives, 2)} to 1, `}
        {`${signed(split.offPercent, 1)} % off. `}
        <WhyButton onClick={() => setWorking(true)}>working</WhyButton>
      </p>
      {isWorking && (
        <WorkingDialog
          title="Shared between stages"
          workings={split.workings}
          onClose={() => setWorking(false)}
        />
      )}
    </div>
  )
}
