import { useState } from 'react'
import {
  acidDocumentOn,
  addDays,
  approvedOf,
  bakeOn,
  families,
  heldTo,
  movable,
  type Bodies,
  type Check,
  type Id,
  type Kind,
  type LimitSet,
  type MethodState,
} from '@logged-thermal/core'
import {
  acidWords,
  bakeShownWords,
  bakeWords,
  dayName,
  limitTitle,
  lineName,
  sourceLine,
  type Reader,
  methodFormsMessages,
} from '@logged-thermal/wording'
import { PinPad } from '../kit/PinPad'
import { useLeadSigns } from '../login/useLeadSigns'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { AcidForm } from './AcidForm'
import { BakeForm } from './BakeForm'
import { GuidanceForm } from './GuidanceForm'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

/** One thing that waits for the lead's PIN. */
type Waiting = ToSign<'guidance-replaced'> | ToSign<'bake-validated'> | ToSign<'acidity-documented'>

interface ToSign<K extends Kind> {
  kind: K
  body: Bodies[K]
  says: string
}

/** What the lead signs for one method beside its version: lines in place of guidance, and the bake of crumb. */
export function SignedForMethod({
  state,
  limits,
  day,
  reader,
  onClose,
}: {
  state: MethodState
  limits: LimitSet
  day: string
  reader: Reader
  onClose: () => void
}) {
  const [open, setOpen] = useState<Check | 'bake' | 'acidity' | null>(null)
  const [waiting, setWaiting] = useState<Waiting | null>(null)
  const back = () => {
    setWaiting(null)
    setOpen(null)
  }
  const method = approvedOf(state)
  if (!method) return null
  const guidance = heldTo(method, 1, limits, false, day).checks.filter(
    ({ limit }) => limit.force === 'guidance' && movable(limit.rule) !== null,
  )
  const bake = bakeOn(state.signed, method, day)
  const acid = acidDocumentOn(state.signed, method, day)
  const crumb = families[method.family].crumb
  if (waiting?.kind === 'guidance-replaced')
    return <SignIt {...waiting} method={method.id} onBack={() => setWaiting(null)} onSigned={back} />
  if (waiting?.kind === 'acidity-documented')
    return <SignIt {...waiting} method={method.id} onBack={() => setWaiting(null)} onSigned={back} />
  if (waiting) return <SignIt {...waiting} method={method.id} onBack={() => setWaiting(null)} onSigned={back} />
  if (open === 'bake')
    return (
      <BakeForm
        method={method}
        last={addDays(day, limits.practice.bakeDays)}
        reader={reader}
        onClose={() => setOpen(null)}
        onDone={({ step, ...said }) =>
          setWaiting({
            kind: 'bake-validated',
            body: { limits: limits.id, step, bake: said },
            says: say('signBakewords', { bakeWords: bakeWords({ step, ...said }, reader) }),
          })
        }
      />
    )
  if (open === 'acidity')
    return (
      <AcidForm
        method={method}
        first={acid}
        day={day}
        onClose={() => setOpen(null)}
        onDone={(document) =>
          setWaiting({
            kind: 'acidity-documented',
            body: { document },
            says: say('signAcidity', { acidWords: acidWords(document, reader) }),
          })
        }
      />
    )
  if (open)
    return (
      <GuidanceForm
        check={open}
        day={day}
        reader={reader}
        onClose={() => setOpen(null)}
        onDone={(line) =>
          setWaiting({
            kind: 'guidance-replaced',
            body: { limits: limits.id, limit: open.limit.key, line },
            says: say('signOf', { lineName: lineName(open.limit.key, reader).toLowerCase(), method: method.name }),
          })
        }
      />
    )
  return (
    <Sheet open onClose={onClose} title={say('signedFor', { method: method.name })}>
      <div className={styles.signedRows}>
        {guidance.map((check) => {
          const { key } = check.limit
          const line = state.signed.lines.find((each) => each.limit === key && day <= each.validUntil)
          const own = heldTo(method, 1, limits, false, day, state.signed).checks.find((each) => each.key === check.key)
          return (
            <section key={check.key} aria-label={lineName(key, reader)}>
              <h3 className="title">{lineName(key, reader)}</h3>
              <p>
                <strong>{limitTitle(own ?? check, reader)}</strong>
                <br />
                {sourceLine(own ?? check, reader)}
              </p>
              <KeyRow>
                <Key onClick={() => setOpen(check)}>{line ? say('signAnew') : say('signLineHouse')}</Key>
                {line && (
                  <Key
                    look="outlined"
                    onClick={() =>
                      setWaiting({
                        kind: 'guidance-replaced',
                        body: { limits: limits.id, limit: key, line: null },
                        says: say('takeBack', { lineName: lineName(key, reader).toLowerCase() }),
                      })
                    }
                  >
                    {say('takeBack2')}
                  </Key>
                )}
              </KeyRow>
            </section>
          )
        })}
        {crumb && (
          <section aria-label={say('theBake')}>
            <h3 className="title">{say('theBake')}</h3>
            <p>
              {bake ? (
                <>
                  <strong>{bakeWords(bake, reader)}</strong>
                  <br />
                  {bakeShownWords(bake, reader)}.
                </>
              ) : (
                say('notValidatedEachOne')
              )}
            </p>
            <KeyRow>
              <Key onClick={() => setOpen('bake')}>{bake ? say('validateAnew') : say('validateBake2')}</Key>
              {bake && (
                <Key
                  look="outlined"
                  onClick={() =>
                    setWaiting({
                      kind: 'bake-validated',
                      body: { limits: limits.id, step: bake.step, bake: null },
                      says: say('takeBackBake'),
                    })
                  }
                >
                  {say('takeBack2')}
                </Key>
              )}
            </KeyRow>
          </section>
        )}
        {!method.raw && (
          <section aria-label={say('theAcidity')}>
            <h3 className="title">{say('theAcidity')}</h3>
            <p>{acid ? <strong>{acidWords(acid, reader)}</strong> : say('noAcidDocument')}</p>
            <KeyRow>
              <Key onClick={() => setOpen('acidity')}>{acid ? say('signAnew') : say('attachDocument')}</Key>
              {acid && (
                <Key
                  look="outlined"
                  onClick={() =>
                    setWaiting({
                      kind: 'acidity-documented',
                      body: { document: null },
                      says: say('takeBackAcidity'),
                    })
                  }
                >
                  {say('takeBack2')}
                </Key>
              )}
            </KeyRow>
          </section>
        )}
        {guidance.length === 0 && !crumb && method.raw && <p>{say('nothingSignEveryLimit')}</p>}
        <p className="muted">{say('batchesHaveBegunKeep', { day: dayName(addDays(day, 90), reader) })}</p>
      </div>
    </Sheet>
  )
}

function SignIt<K extends Kind>({
  kind,
  body,
  says,
  method,
  onBack,
  onSigned,
}: ToSign<K> & { method: Id; onBack: () => void; onSigned: () => void }) {
  const { lead, sign, busy, refusal } = useLeadSigns(kind, onSigned)
  return (
    <Sheet open onClose={onBack} title={says}>
      {lead && <PinPad of={lead} busy={busy} sentence={refusal} onPin={(pin) => void sign(pin, method, body)} />}
    </Sheet>
  )
}
