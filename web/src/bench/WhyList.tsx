import type { BatchState, Finding } from '@logged-thermal/core'
import { checkTitle, findingSentence, sourceLine, standingWord, type Reader } from '@logged-thermal/wording'
import { Glyph } from '../parts/Glyph'

/** Every check with its standing, the reason in a sentence, and where its limit is from. */
export function WhyList({
  findings,
  notes,
  reader,
}: {
  findings: Finding[]
  notes: BatchState['notes']
  reader: Reader
}) {
  return (
    <section className="why-list" aria-label="Why" tabIndex={0}>
      <div className="why-head">
        <h2 className="title">Why</h2>
        <small>a starting point: check your edition</small>
      </div>
      <ul>
        {findings.map((finding) => (
          <li key={finding.check.key} data-check={finding.check.key} data-standing={finding.standing}>
            <Glyph standing={finding.standing} />
            <div>
              <strong>
                {checkTitle(finding, reader)}
                <span className="visually-hidden">: {standingWord[finding.standing]}</span>
              </strong>
              <p>{findingSentence(finding, reader)}</p>
              <small>{sourceLine(finding.check)}</small>
            </div>
          </li>
        ))}
        {notes.map(({ entry, value }) => (
          <li key={entry}>
            <span aria-hidden="true">❙</span>
            <p>{value}</p>
          </li>
        ))}
      </ul>
    </section>
  )
}
