import type { LimitSet, Method, Problem } from '@logged-thermal/core'
import { problemSentence, type Reader, methodFormsMessages } from '@logged-thermal/wording'
import { PinPad } from '../kit/PinPad'
import { useLeadSigns } from '../login/useLeadSigns'
import { Sheet } from '../kit/Sheet'
import { Columns } from '../kit/Columns'
import styles from '../decide/decide.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

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
  const { lead, sign, busy, refusal } = useLeadSigns('method-approved', onClose)
  const put = (pin: string) =>
    sign(pin, method.id, {
      version: method.version,
      limits: limits.id,
      components: method.components.map((each) => each.method),
    })
  return (
    <Sheet open onClose={onClose} title={say('versionMethodVersion', { method: method.name, version: method.version })}>
      {stops > 0 ? (
        <>
          <p>{say('shutUntilMendedOr')}</p>
          <ul className={styles.matters}>
            {problems.map((problem) => (
              <li key={problem.id}>{problemSentence(problem, reader)}</li>
            ))}
          </ul>
        </>
      ) : (
        lead && (
          <Columns>
            <div>
              <p>{say('fromNowOnBatches')}</p>
              {method.justified.map(({ problem, reason }) => (
                <p key={problem}>{say('keptWithReason', { problem, reason })}</p>
              ))}
            </div>
            <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void put(pin)} />
          </Columns>
        )
      )}
    </Sheet>
  )
}
