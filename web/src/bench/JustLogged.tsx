import { useEffect, useState } from 'react'
import { canProve, celsiusRead, countsFor, LATE_MS, type BatchState, type Claim, type Id } from '@logged-thermal/core'
import { backingWords, clockWithSeconds, degrees, type Reader, benchMessages } from '@logged-thermal/wording'
import { useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { UNDO_MS } from '../app/undo'
import { Sheet } from '../kit/Sheet'
import { NameKeys } from '../kit/NameKeys'
import styles from './bench.module.css'
import { speaks, spoken } from '../kit/language'

const say = speaks(benchMessages)

interface Props {
  claim: Claim<'reading-taken'>
  batch: BatchState
  others: BatchState[]
  reader: Reader
  onUndo: () => void
  onMove: (to: Id) => void
  onGone: () => void
}

/** What was just logged, with Undo for ten seconds and the way to another pot. */
export function JustLogged({ claim, batch, others, reader, onUndo, onMove, onGone }: Props) {
  const now = useNow(250)
  const [moving, setMoving] = useState(false)
  const line = useLine()
  const left = claim.madeAt + UNDO_MS - now
  const gone = left <= 0 && !moving
  useEffect(() => {
    if (gone) onGone()
  }, [gone, onGone])
  if (gone) return null
  const { typed, instrument, readBy } = claim.body
  const by = line?.people.find(({ id }) => id === claim.by)?.name
  const probe = line?.instruments.find(({ id }) => id === instrument)?.code
  const idle = closesNothing(claim, batch)
  return (
    <div className={styles.logged} role="status">
      <p>
        <strong>{say('loggedTypedUnit', { typed: typed.value.toFixed(1), unit: typed.unit })}</strong>
        {clockWithSeconds(claim.at, reader)}, {by}, {probe ?? say('noInstrument')}
        {readBy && readBy.off !== 0 && say('countsAs', { degrees: degrees(celsiusRead(claim.body), reader) })}
        {idle && <em>{idle}</em>}
      </p>
      {others.length > 0 && <Key onClick={() => setMoving(true)}>{say('wrongPot')}</Key>}
      <Key onClick={onUndo}>
        {say('undo')}
        <small>{Math.max(0, Math.ceil(left / 1000))} s</small>
      </Key>
      <Sheet open={moving} onClose={() => setMoving(false)} title={say('whichPot')}>
        <NameKeys>
          {others.map(({ id, method, code }) => (
            <Key key={id} onClick={() => onMove(id)}>
              {method.name}
              <small>{code}</small>
            </Key>
          ))}
        </NameKeys>
      </Sheet>
    </div>
  )
}

/** Why a reading closes no check, said when somebody takes one; null when it can. */
function closesNothing(claim: Claim<'reading-taken'>, { checks }: BatchState): string | null {
  const { where, of, instrument, readBy } = claim.body
  if (countsFor({ where, of }, checks).length > 0) {
    if (instrument === null) return say('withoutProbeProvesNothing')
    const doubt = readBy && !canProve(readBy) && backingWords(readBy.backing, spoken)
    if (doubt) return say('itsInstrument', { doubt })
    return claim.madeAt - claim.at > LATE_MS ? say('enteredLateProvesNothing') : null
  }
  if (where !== 'core') return say('readNoCheckCore', { where })
  return say('milkNotMixtureCloses')
}
