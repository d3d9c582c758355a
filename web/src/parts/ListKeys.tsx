import type { Day, Id } from '@logged-thermal/core'
import { partsMessages, type ListName, type Reader } from '@logged-thermal/wording'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'

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
  const asked = new URLSearchParams({ scale: reader.scale })
  for (const [key, value] of Object.entries({ of, from, to })) if (value) asked.set(key, value)
  const address = (kind: string) => `/api/records/list/${list}.${kind}?${asked}`
  return (
    <KeyRow label={name} className="no-print">
      <Key look="outlined" target="_blank" href={address('pdf')}>
        {say('listPaper')}
      </Key>
      <Key look="outlined" href={address('csv')}>
        {say('listTable')}
      </Key>
      <Key look="outlined" href={address('json')}>
        {say('listData')}
      </Key>
    </KeyRow>
  )
}
