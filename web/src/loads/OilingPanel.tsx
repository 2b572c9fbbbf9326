import type { ChainOiling } from '../api/client'
import { useUnits } from '../quantities/units'
import { Panel } from '../shell/Panel'

const CLASS_WORDS: Record<ChainOiling['class'], string> = {
  manualOrDrip: 'oil by hand or drip',
  bathOrSlinger: 'an oil bath or slinger',
  oilStream: 'an oil stream',
}

/** Both practices side by side, and the one chosen. */
export function OilingPanel({ oiling }: { oiling: ChainOiling }) {
  const units = useUnits()
  const speed = (value: number) => units.show('loopSpeed', value)
  const isSealed = oiling.school === 'sealedRing'
  return (
    <Panel title="Lubrication" note={`up to ${speed(oiling.speedMS)}`}>
      <p>
        Industrial tables ask for <b>{CLASS_WORDS[oiling.class]}</b> at this speed: by hand or drip up to{' '}
        {speed(oiling.manualUpToMS)}, a bath up to {speed(oiling.bathUpToMS)}.
      </p>
      <p style={{ marginTop: 6 }}>
        Sealed-ring practice runs to {speed(oiling.sealedUpToMS)}: the grease is sealed in the joint, a little
        oil outside keeps rollers, rings and rust at bay; wiped off, no solvent, every{' '}
        {units.show('distance', oiling.sealedFromKm)} to {units.show('distance', oiling.sealedToKm)} and after
        rain.
      </p>
      <p style={{ marginTop: 6 }}>
        <b>Chosen here: {isSealed ? 'sealed rings' : 'oiled joints'}.</b>{' '}
        {isSealed
          ? 'Oil does not reach a sealed joint: speed is bounded by practice, not by the class.'
          : 'Without sealed rings the joint needs fresh oil at every speed.'}{' '}
        Sealed grease covers pin and bush, not the rollers: some oil outside is right in both.
      </p>
      <p className="cap" style={{ marginTop: 6 }}>
        ACA; Machinery’s Handbook (limits from memory); common practice. The maker’s word wins. Oil only with
        the engine off and the wheel turned by hand: a running chain takes fingers.
      </p>
    </Panel>
  )
}
