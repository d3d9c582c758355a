import type { Day, Id } from '@logged-thermal/core'
import { partsMessages, type ListName, type Reader } from '@logged-thermal/wording'
import { clsx } from 'clsx'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { recordsFor } from './recordsFor'
import styles from './listKeys.module.css'

const say = speaks(partsMessages)

interface Props {
  list: ListName
  /** What it is called where several stand on a view; of one thing alone its page says so. */
  name: string
  of?: Id
  from?: Day
  to?: Day
  reader: Reader
}

/** A list of the logbook to take away: on paper, as a table, or for another program. */
export function ListKeys({ list, name, of, from, to, reader }: Props) {
  const asked = new URLSearchParams(recordsFor(reader))
  for (const [key, value] of Object.entries({ of, from, to })) if (value) asked.set(key, value)
  const address = (kind: string) => `/api/records/list/${list}.${kind}?${asked}`
  return (
    <div role="group" aria-label={name} className={clsx(styles.keys, 'no-print')}>
      <Key look="outlined" target="_blank" href={address('pdf')}>
        {say('listPaper')}
      </Key>
      <Key look="outlined" href={address('csv')}>
        {say('listTable')}
      </Key>
      <Key look="outlined" href={address('json')}>
        {say('listData')}
      </Key>
    </div>
  )
}
