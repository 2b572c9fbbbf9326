import type { SetAdvice } from '../api/client'

/** How tightness is told by hand, and what each verdict asks for: it advises by itself. */
export default function SlipTest({ ways }: { ways: SetAdvice['manual']['byHand'] }) {
  return ways.map((way, i) => (
    <details key={way.name} open={i === 0} data-no-print>
      <summary>{way.name}</summary>
      <ol>
        {way.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <ul>
        <li>
          <b>loose</b>: {way.loose}
        </li>
        <li>
          <b>about right</b>: {way.right}
        </li>
        <li>
          <b>tight</b>: {way.tight}
        </li>
      </ul>
    </details>
  ))
}
