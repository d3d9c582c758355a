import { isGate, type BatchState, type Finding, type Phase, type StepKind } from '@logged-thermal/core'
import { checkTitle, gateName, stepName, type Reader } from '@logged-thermal/wording'
import { Glyph } from '../parts/Glyph'

/** Steps of the hands alone: on the rail only while they are done. */
const BESIDE: StepKind[] = ['mise', 'eggs', 'infuse', 'strain', 'add after heat', 'freeze']

/** Where the batch is: its steps, and at each that has gates, how they stand. */
export function StepRail({
  batch,
  findings,
  phase,
  reader,
}: {
  batch: BatchState
  findings: Finding[]
  phase: Phase
  reader: Reader
}) {
  const told = batch.method.steps.filter(({ key, kind }) => key === phase.step || !BESIDE.includes(kind))
  const steps = told.flatMap((step): { key: string; name: string; finding: Finding | null; now: boolean }[] => {
    const own = findings.filter(({ check }) => check.step === step.key)
    const gates = own.filter((finding) => isGate(finding) && finding.check.limit.force !== 'quality')
    if (step.kind !== 'cool')
      return [{ key: step.key, name: stepName[step.kind], finding: gates[0] ?? null, now: step.key === phase.step }]
    const open = gates.find(({ standing }) => standing === 'open')
    return gates.map((finding, i) => ({
      key: finding.check.key,
      name: i === 0 ? 'Cool' : 'Chill',
      finding,
      now: step.key === phase.step && finding === (open ?? gates.at(-1)),
    }))
  })
  return (
    <ol className="rail" aria-label="Steps">
      {steps.map(({ key, name, finding, now }) => (
        <li key={key} className={now ? 'now' : ''} aria-current={now ? 'step' : undefined}>
          {finding && <Glyph standing={finding.standing} on={now ? 'ink' : 'glass'} />}
          {name}
          {finding && (
            <small>{finding.deadline !== null ? checkTitle(finding, reader) : gateName(finding.check, reader)}</small>
          )}
        </li>
      ))}
    </ol>
  )
}
