import type { SetupFigures } from '../api/client'
import { fixed, gearName, signed } from '../quantities/format'
import classes from './Feel.module.css'

/** What the change means on the road, in sentences. */
export function Feel({ view }: { view: SetupFigures }) {
  const top = view.gears.at(-1)
  const sentences = [
    top?.feelsLike && feelSentence(top.label, top.feelsLike),
    view.rearTeethLike !== null &&
      `In front alone this is worth ${signed(view.rearTeethLike, 2)} teeth behind.`,
  ].filter(Boolean)
  return (
    <div className={classes.feel}>
      {sentences.map((s) => (
        <p key={String(s)}>{s}</p>
      ))}
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
