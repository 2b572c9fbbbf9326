import type {
  LoadCheck,
  LoadSource,
  LoadsHeadline,
  LoopLoadsResult,
  LoopStrength,
  Mend,
  OperatingPoint,
  UncountedInput,
} from '../api/client'
import { CHECK_WORDS } from '../loop/checkWords'
import { figure, fixed, plain } from '../quantities/format'
import type { Units } from '../quantities/units'

/** What the core's answers about loads are called on the page. */

export const POINT_WORDS: Record<OperatingPoint['kind'], string> = {
  hardestPull: 'hardest pull',
  cruise: 'cruise',
  topSpeed: 'top speed',
  braking: 'braking',
}

export const ORIGIN_WORDS: Record<OperatingPoint['origin'], string> = {
  input: 'as hard as the input pulls',
  grip: 'the tyre slips before the input gives all',
  frontLifts: 'the front wheel lifts before the input gives all',
  resistance: 'what rolling and air ask for',
  measured: 'as measured',
}

export const ROPE_WORDS: Record<NonNullable<LoopStrength['rope']>, string> = {
  cord: 'a cord',
  fibreRope: 'fibre rope in a V groove',
  wireLinedSheave: 'wire rope, lined sheave',
  wireRoundGroove: 'wire rope, round groove',
  wireVGroove: 'wire rope, V groove',
}

export const CHARACTER_WORDS: Record<NonNullable<LoadSource['character']>, string> = {
  smooth: 'smooth',
  moderateShock: 'with moderate shock',
  heavyShock: 'with heavy shock',
}

export const VERDICT_WORDS: Record<LoadCheck['verdict'], string> = {
  fine: 'fine',
  watch: 'watch',
  stop: 'stop',
  advice: 'advice',
  notApplicable: 'not known',
}

export const VERDICT_MARKS: Record<LoadCheck['verdict'], string> = {
  fine: '✓',
  watch: '▲',
  stop: '■',
  advice: 'i',
  notApplicable: '–',
}

/** Tone of a tag or bar; none where nothing is judged. */
export const VERDICT_TONES: Record<LoadCheck['verdict'], 'ok' | 'watch' | 'stop' | undefined> = {
  fine: 'ok',
  watch: 'watch',
  stop: 'stop',
  advice: undefined,
  notApplicable: undefined,
}

export const SIDE_WORDS: Record<LoadCheck['side'], string> = { atLeast: 'at least', atMost: 'at most' }

/** Why a check has no verdict, where no field would give it one. */
export const UNJUDGED_WORDS: Record<NonNullable<LoadCheck['unjudged']>, string> = {
  inputMissing: 'something is not known yet',
  tableSilent: 'the tables have no value here: ask its maker',
  ruleDoesNotHold: 'no rule is known for this kind of chain: ask its maker',
  notDecidedHere: 'not decided here',
}

/** Fields that a check may miss, as the form calls them. */
export const MISSING_WORDS: Record<string, string> = {
  'Strength.BreakingLoadN': 'the breaking load',
  'Strength.BearingAreaMm2': 'pin diameter times bush length',
  'Strength.InstalledTensionN': 'the tension as set',
  'Strength.WidthMm': 'the width of the belt',
  'Strength.RatingPerBeltKw': 'the maker’s rating of one belt',
  'Strength.AllowedPullN': 'the maker’s working pull',
  'Source.CruiseKmh': 'the speed it cruises at',
  'Source.ContinuousTorqueNm': 'the continuous torque',
  'Source.PeakPowerKw': 'the greatest power',
}

/** What was given and may not count, in the middle of a sentence. */
const GIVEN_WORDS: Record<string, string> = {
  ...MISSING_WORDS,
  'Strength.ElongationLimitPercent': 'the maker’s limit of elongation',
  'Strength.SagMm': 'the sag',
  'Strength.School': 'the lubrication practice',
  'Strength.Friction': 'the friction',
  'Strength.GrooveAngleDeg': 'the angle of the groove',
  'Strength.PressureAngleDeg': 'the pressure angle',
  'Strength.LengthFactor': 'the length factor',
  'Strength.ForceAt1PercentN': 'the force for 1 % longer',
  'Strength.Rope': 'what kind of rope it is',
  'Strength.ExtraHalfTurns': 'the half turns more',
  'Source.RiderMassKg': 'the rider',
  'Source.MassKg': 'the mass',
  'Source.DrivenMassKg': 'the mass on driven wheels',
  'Source.Friction': 'the grip of the tyre',
  'Source.Efficiency': 'by which school loops lose',
}

/** “the friction (a chain does not drive by friction)”. */
export const uncountedText = ({ field, why }: UncountedInput) => `${GIVEN_WORDS[field] ?? field} (${why})`

/** A value of a check in its unit. */
export function checkText(kind: LoadCheck['kind'], value: number, units: Units, teeth = true): string {
  switch (kind) {
    case 'breakingLoad':
    case 'breakingLoadWithShock':
    case 'slip':
    case 'toothJump':
      return `×${figure(value, 3)}`
    case 'pinPressure':
      return units.show('pressure', value)
    case 'toothJumping':
    case 'beltPull':
      return units.show('force', value)
    case 'chainSpeed':
    case 'beltSpeed':
    case 'lowBeltSpeed':
      return units.show('loopSpeed', value)
    case 'ripple':
      return `${figure(value, 2)} %`
    case 'wrap':
      return `${fixed(value, 0)}°`
    case 'rating':
      return units.show('power', value)
    case 'galling':
      return `${fixed(value, 0)} rpm`
    case 'oddTeeth':
      return `${plain(value)} ${value === 1 ? 'turn' : 'turns'}`
    case 'beltCount':
      return plain(value)
    case 'longDistance':
    case 'shortDistance':
      return units.show('longLength', value)
    case 'smallestFront':
    case 'smallPulley':
      return teeth ? `${plain(value)} teeth` : units.show('fine', value)
    case 'teethInMesh':
      return `${plain(value)} teeth`
  }
}

/** “12 teeth in front: ±1.7 %”; the limit too where the mend moves that. */
export function mendText(mend: Mend, check: LoadCheck, units: Units, teeth: boolean): string {
  const text = (value: number) => checkText(check.kind, value, units, teeth)
  const to = mend.limit === check.limit ? text(mend.value) : `${text(mend.value)} of ${text(mend.limit)}`
  switch (mend.kind) {
    case 'moreFrontTeeth':
      return `${teeth ? `${plain(mend.to ?? 0)} teeth` : units.show('fine', mend.to ?? 0)} in front: ${to}`
    case 'otherSize':
      return `size ${mend.size}: ${to}`
    case 'moreStrands':
      return `${plain(mend.to ?? 0)} side by side: ${to}`
    case 'widerBelt':
      return `${units.show('fine', mend.to ?? 0)} wide: ${to}`
    case 'moreTension':
      return `${units.show('force', mend.to ?? 0)} set: ${to}`
  }
}

/** What decides: the worst row that counts; undefined where all is fine or nothing could be told. */
export const worst = ({ checks, verdict }: LoopLoadsResult): LoadCheck | undefined =>
  verdict === 'stop' || verdict === 'watch' ? checks.find((c) => c.verdict === verdict) : undefined

/** “speed ripple”, “margin ×1.4”: the headline of the station. */
export function headline({ isJudged, worst: check, smallestMargin: margin }: LoadsHeadline): string {
  if (!isJudged) return 'not decided here'
  if (check) return CHECK_WORDS[check.kind].toLowerCase()
  return margin == null ? 'no margin known' : `margin ${marginText(margin)}`
}

const marginText = (margin: number) => `×${figure(margin, 3)}`

/** “×1.4”; undefined where no check could be told. */
export const smallestMargin = ({ smallest }: Pick<LoopLoadsResult, 'smallest'>): string | undefined =>
  smallest?.margin == null ? undefined : marginText(smallest.margin)
