import { useRef, useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  dayOf,
  measures,
  timelineOf,
  type AnyClaim,
  type BatchState,
  type Day,
  type Hash,
  type Id,
} from '@logged-thermal/core'
import { benchSheetsMessages, type Reader } from '@logged-thermal/wording'
import { sentenceOf } from '../app/api'
import { useClaim } from '../app/enter'
import { useHand, useLine, useShift } from '../app/kitchen'
import { useNow } from '../app/now'
import { PhotoField } from '../app/PhotoField'
import { DateField } from '../kit/DateField'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { SelectField } from '../kit/SelectField'
import { Sheet } from '../kit/Sheet'
import { TimeField } from '../kit/TimeField'
import { SecondPin } from '../login/SecondPin'
import { isEmpty, readAt, typedOf, wrongIn, type PaperRow } from './paperRows'
import styles from './paperSheet.module.css'
import { usePostCopiedMutation } from './usePostCopied'

const say = speaks(benchSheetsMessages)

/** No instrument, and no pan. */
const NONE = ''
/** As many lines as a sheet has, and a post takes. */
const MOST_ROWS = 40

const lineOf = (day: Day): PaperRow => ({ key: uuid(), day, time: '', text: '' })

interface Props {
  batch: BatchState
  onClose: () => void
  reader: Reader
}

/**
 * Readings of a paper sheet are copied by two people, with its picture: one types, the other looks on and signs. They wait
 * for the lead, and until then only count against the batch.
 */
export function PaperSheet({ batch, onClose, reader }: Props) {
  const line = useLine()
  const { person, instrument } = useHand(line)
  const now = useNow()
  const shift = useShift()
  const claim = useClaim()
  const [post, { isLoading, error }] = usePostCopiedMutation()
  const [photo, setPhoto] = useState<Hash | null>(null)
  const [readWith, setReadWith] = useState<string>(instrument?.id ?? NONE)
  const { count: pans } = timelineOf(batch).pans
  const [pan, setPan] = useState(NONE)
  const [rows, setRows] = useState<PaperRow[]>(() => [lineOf(dayOf(batch.startedAt, reader.zone))])
  const [signing, setSigning] = useState(false)
  const [refused, setRefused] = useState<Record<string, string>>({})
  // What was sent once is sent again as the same entry, however often somebody has to try.
  const made = useRef(new Map<string, AnyClaim>())

  const put = (row: PaperRow) => setRows(rows.map((each) => (each.key === row.key ? row : each)))
  const found = rows.map((row) => wrongIn(row, batch.startedAt, now, reader))
  const written = rows.filter((row) => !isEmpty(row))
  const why =
    photo === null
      ? say('photoFirst')
      : written.length === 0
        ? say('copyOneFirst')
        : found.some((wrong) => wrong !== null) && say('putRightFirst')

  const claimOf = (row: PaperRow): AnyClaim | null => {
    const typed = typedOf(row, reader.scale)
    const at = readAt(row, reader.zone)
    if (!typed || at === null || photo === null) return null
    const as = [row.key, at, typed.value, typed.unit, readWith, pan, photo].join()
    const known = made.current.get(as)
    if (known) return known
    const probe = line?.instruments.find(({ id }) => id === readWith) ?? null
    const body = {
      typed,
      where: (probe && measures[probe.kind]) ?? ('core' as const),
      of: 'mixture' as const,
      instrument: probe?.id ?? null,
      ...(pan === NONE ? {} : { portion: pan }),
      paper: photo,
    }
    const fresh = claim('reading-taken', batch.id, body, { at })
    made.current.set(as, fresh)
    return fresh
  }
  const send = async (second: Id, secondPin: string) => {
    const sent = written.flatMap((row) => {
      const entry = claimOf(row)
      return entry ? [{ row, entry }] : []
    })
    const { data } = await post({
      entries: sent.map(({ entry }) => entry),
      sentAt: now,
      second,
      secondPin,
      scale: reader.scale,
      hours: reader.hours,
    })
    if (!data) return
    const wrong = sent.flatMap(({ row }, i) => {
      const result = data.results[i]
      return result?.outcome === 'refused' ? [[row.key, result.sentence] as const] : []
    })
    if (wrong.length === 0) return onClose()
    setRefused(Object.fromEntries(wrong))
    setRows(rows.filter(({ key }) => wrong.some(([refusedKey]) => refusedKey === key)))
    setSigning(false)
  }
  return (
    <Sheet open onClose={onClose} title={say('copyFromPaper', { code: batch.code })}>
      {signing ? (
        <SecondPin
          first={[person?.id ?? null, shift?.person ?? null]}
          why={say('secondLooksOn', { count: written.length })}
          busy={isLoading}
          sentence={error ? sentenceOf(error) : null}
          onPin={(second, pin) => void send(second, pin)}
        />
      ) : (
        <div className={styles.paper}>
          <p className="muted">{say('paperWaits')}</p>
          <PhotoField photo={photo} onPhoto={setPhoto} />
          <SelectField
            label={say('readWithWhich')}
            options={[
              ...(line?.instruments ?? [])
                .filter(({ kind, gone }) => !gone && measures[kind] !== null)
                .map(({ id, code }) => ({ value: id, words: code })),
              { value: NONE, words: say('notOnTheSheet') },
            ]}
            chosen={readWith}
            onChoose={setReadWith}
          />
          {pans > 1 && (
            <SelectField
              label={say('ofWhichPan')}
              options={[
                { value: NONE, words: say('notOnTheSheet') },
                ...Array.from({ length: pans }, (_, i) => ({ value: String(i + 1), words: String(i + 1) })),
              ]}
              chosen={pan}
              onChoose={setPan}
            />
          )}
          <ol className={styles.rows}>
            {rows.map((row, i) => (
              <li key={row.key} className={styles.row} aria-label={say('lineOfSheet', { count: i + 1 })}>
                <DateField label={say('day')} value={row.day} onValue={(day) => day && put({ ...row, day })} />
                <TimeField
                  label={say('time')}
                  value={row.time}
                  hours={reader.hours}
                  onValue={(time) => put({ ...row, time })}
                />
                <Field
                  label={say('temperature')}
                  mode="decimal"
                  unit={`°${reader.scale}`}
                  max={7}
                  value={row.text}
                  error={found[i] ?? refused[row.key] ?? null}
                  onValue={(text) => put({ ...row, text })}
                />
              </li>
            ))}
          </ol>
          <Key
            look="outlined"
            why={rows.length >= MOST_ROWS && say('sheetFull')}
            onClick={() => setRows([...rows, lineOf(rows.at(-1)?.day ?? dayOf(now, reader.zone))])}
          >
            {say('anotherLine')}
          </Key>
          <Key look="primary" why={why} onClick={() => setSigning(true)}>
            {say('copiedAll')}
          </Key>
        </div>
      )}
    </Sheet>
  )
}
