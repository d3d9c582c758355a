import { useState } from 'react'
import type { LimitSet, Method, Problem } from '@logged-thermal/core'
import { problemSentence, type Reader } from '@logged-thermal/wording'
import { sentenceOf, usePostSignedMutation } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { PinPad } from '../door/PinPad'
import { Sheet } from '../parts/Sheet'

/** The lead puts a version in force: shut, and saying why, while something in it blocks. */
export function ApproveMethod({
  method,
  limits,
  stops,
  problems,
  reader,
  onClose,
}: {
  method: Method
  limits: LimitSet
  stops: number
  problems: Problem[]
  reader: Reader
  onClose: () => void
}) {
  const line = useLine()
  const { person } = useHand(line)
  const claim = useClaim()
  const [post, { isLoading }] = usePostSignedMutation()
  const [refusal, setRefusal] = useState<string | null>(null)
  const lead = person?.role === 'lead' ? person : line?.people.find(({ role }) => role === 'lead')
  const sign = async (pin: string) => {
    if (!lead) return
    const body = {
      version: method.version,
      limits: limits.id,
      components: method.components.map((each) => each.method),
    }
    const result = await post({
      claim: claim('method-approved', method.id, body, { by: lead.id }),
      signer: lead.id,
      pin,
    })
    if (result.error) return setRefusal(sentenceOf(result.error))
    const [answer] = result.data.results
    if (answer?.outcome === 'refused') return setRefusal(answer.sentence)
    onClose()
  }
  return (
    <Sheet open onClose={onClose} title={`${method.name}, version ${method.version}`}>
      {stops > 0 ? (
        <>
          <p>Shut until this is mended, or kept with a reason in writing:</p>
          <ul className="matters">
            {problems.map((problem) => (
              <li key={problem.id}>{problemSentence(problem, reader)}</li>
            ))}
          </ul>
        </>
      ) : (
        lead && (
          <div className="sign-version">
            <div>
              <p>From now on batches are made by this version. Those that have begun keep theirs.</p>
              {method.justified.map(({ problem, reason }) => (
                <p key={problem}>
                  Kept with a reason: {problem}. {reason}
                </p>
              ))}
            </div>
            <PinPad name={lead.name} busy={isLoading} sentence={refusal} onPin={(pin) => void sign(pin)} />
          </div>
        )
      )}
    </Sheet>
  )
}
