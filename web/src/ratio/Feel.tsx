import type { SetupFigures } from '../api/client'
import type { Workbench } from '../machine/useWorkbench'
import { fixed, gearName, signed } from '../quantities/format'
import classes from './Feel.module.css'

/** What the change means on the road, in sentences. */
export function Feel({ bench, view }: { bench: Workbench; view: SetupFigures }) {
  const top = view.gears.at(-1)
  const sentences = [
    top?.feelsLike && feelSentence(top.label, top.feelsLike),
    view.rearTeethLike !== null &&
      `In front alone this is worth ${signed(view.rearTeethLike, 2)} teeth behind.`,
    speedometerSentence(bench, view),
  ].filter(Boolean)
  return (
    <div className={classes.feel}>
      {sentences.map((s) => (
        <p key={String(s)}>{s}</p>
      ))}
      {view.speedometer?.showsTooLittle && (
        <p className={classes.caution}>
          ▲ It would show less than true speed. Most road law forbids that: correct it before the road, by
          local rules.
        </p>
      )}
    </div>
  )
}

function feelSentence(label: string, feels: NonNullable<SetupFigures['gears'][number]['feelsLike']>): string {
  const name = gearName(label)
  const beyond =
    feels.beyond === 'taller'
      ? ', taller than any before'
      : feels.beyond === 'shorter'
        ? ', shorter than first was'
        : ''
  return `${name[0]?.toUpperCase()}${name.slice(1)} now feels like ${fixed(feels.gear, 1)} of before${beyond}.`
}

function speedometerSentence(bench: Workbench, view: SetupFigures): string | null {
  const s = view.speedometer
  if (!s) return null
  if (
    bench.drive.speedPickup !== 'gearboxOutput' &&
    Math.abs(s.errorPercent - bench.drive.speedometerErrorPercent) < 0.05
  )
    return 'The speedometer takes its speed from a wheel: its reading stays.'
  const wrong = `${fixed(Math.abs(s.errorPercent), 1)} % too ${s.errorPercent < 0 ? 'little' : 'much'}`
  return Math.abs(s.errorPercent) < 0.05
    ? 'The speedometer shows true speed.'
    : `The speedometer will show ${wrong}; it needs a correction of ${signed(s.correctionPercent, 1)} %.`
}
