import { Suspense, useState } from 'react'
import { shellMessages } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { later, useReadAhead } from '../kit/later'
import { speaks } from '../kit/language'
import styles from './header.module.css'
import { useNow } from './now'
import { isUnsent } from './outbox'
import { loadProgram } from './program'
import { useNewProgram } from './reload'
import { useAppSelector } from './store'

const say = speaks(shellMessages)

const OutboxSheet = later(() => import('./OutboxSheet'), 'OutboxSheet')
const NEXT = [OutboxSheet]
/** An entry on its way for so long is told of, ms. */
const SLOW = 4000

/** What is only on this tablet, and what became of the server. Tapped: each entry, and what can be done about it. */
export function KeptHere() {
  const outbox = useAppSelector((state) => state.outbox)
  const there = useAppSelector(({ connection }) => connection.there)
  const full = useAppSelector(({ connection }) => connection.full)
  const now = useNow()
  const [open, setOpen] = useState(false)
  useReadAhead(NEXT)
  const unsent = outbox.filter(isUnsent)
  const refused = outbox.filter(({ refusal }) => refusal !== null)
  const isSlow = unsent.some(({ claim }) => now - claim.madeAt > SLOW)
  const unkept = unsent.some(({ kept }) => !kept)
  const count = unsent.length
  const shown = !there || full || isSlow || refused.length > 0
  return (
    <>
      {shown && (
        <div role="status" className={styles.keptRow}>
          <Key look="outlined" className={styles.kept} onClick={() => setOpen(true)}>
            <small>
              {refused.length > 0
                ? say('notTaken', { count: refused.length })
                : say(full ? 'serverFull' : there ? 'onItsWayShort' : 'serverAway')}
            </small>
            {unkept ? say('onlyInThisPage', { count }) : say('keptHere', { count })}
          </Key>
        </div>
      )}
      <Suspense>{open && <OutboxSheet onClose={() => setOpen(false)} />}</Suspense>
    </>
  )
}

/** Another program than this lies ready: taken by itself once hands and heat are elsewhere, or by a tap. */
export function NewProgram() {
  if (!useNewProgram()) return null
  return (
    <div role="status" className={styles.keptRow}>
      <Key look="outlined" className={styles.kept} onClick={loadProgram}>
        <small>{say('newProgram')}</small>
        {say('loadIt')}
      </Key>
    </div>
  )
}
