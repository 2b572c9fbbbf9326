import type { Adjuster } from '../api/client'

/** What adjusters are called on the page. */

export const ADJUSTER_WORDS: Record<Adjuster['kind'], string> = {
  twoEnds: 'a screw at either end',
  oneScrew: 'one screw',
  slidingMotor: 'a motor on its slide',
  eccentric: 'an eccentric',
  cam: 'cams with clicks',
  shims: 'shims',
  sprungArm: 'a sprung arm',
  springSlide: 'a motor on a sprung slide',
  fixedCentres: 'nothing: fixed centres',
  sheaveShims: 'shims at a sheave',
}
