import { batchStanding, holdsUntreatedFruit, rulingDate } from '@logged-thermal/core'
import { advisory, dayName, fruitNote, findingSentence, standingWord, slabMessages } from '@logged-thermal/wording'
import { Key } from '../../kit/Key'
import { Also } from './Also'
import type { SlabProps } from './slabProps'
import { clsx } from 'clsx'
import styles from '../../board/slab.module.css'
import { speaks, spoken } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)

/** Every gate proven: the last day as the big number, and what the label has to say. */
export function ProvenSlab(props: SlabProps) {
  const { reader, guide } = props
  const { batch, findings } = props.one
  const date = rulingDate(findings)
  if (!date) return null
  const law = findings.find(({ check }) => check.limit.rule.kind === 'days' && check.limit.force === 'law')
  const standing = batchStanding(findings)
  const released = batch.disposition?.value.decision === 'release'
  const { because } = date
  return (
    <section
      className={clsx(styles.slab, standing === 'proven' ? styles.proven : styles.unproven)}
      aria-label={standingWord(standing, reader)}
    >
      <p className={styles.do}>{standing === 'proven' ? say('everyGateProven') : say('releasedNotProven')}</p>
      {released && (
        <p className={styles.why}>
          {say('released')} {batch.disposition?.value.reason}
        </p>
      )}
      {'lastDay' in because && (
        <>
          <p className={styles.why}>{say('keepDryKeepCold', { isDry: batch.method.cooling === 'dry' })}</p>
          <p className={styles.big}>{dayName(because.lastDay, reader)}</p>
        </>
      )}
      <p className={styles.why}>
        {findingSentence(date, reader)} {date.check.limit.force === 'house' ? say('housesOwn') : say('lawRules')}{' '}
        {law && date !== law && law.check.limit.rule.kind === 'days'
          ? say('lawAllows', { days: law.check.limit.rule.days })
          : ''}
      </p>
      {batch.terms.eggs.unheated === 'shell with advisory' && <p className={styles.why}>{advisory(spoken)}</p>}
      {holdsUntreatedFruit(batch) && <p className={styles.why}>{fruitNote(spoken)}</p>}
      <Also {...props} todos={guide.todos}>
        <Key look="primary" why={shutUnless(props.open)} onClick={() => props.onSheet('put away')}>
          {say('putAway')}
        </Key>
      </Also>
    </section>
  )
}
