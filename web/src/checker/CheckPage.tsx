import LinearProgress from '@mui/material/LinearProgress'
import Typography from '@mui/material/Typography'
import { clsx } from 'clsx'
import { useState, type DragEvent } from 'react'
import { CORE_VERSION, type ProofFound, type Standing, type Stood } from '@logged-thermal/core'
import {
  inFours,
  proofCautionSentence,
  proofFaultSentence,
  proofMessages,
  proofSentences,
  type Reader,
} from '@logged-thermal/wording'
import { FileKey } from '../kit/FileKey'
import { Key } from '../kit/Key'
import { language, speaks } from '../kit/language'
import { Badge } from '../parts/Badge'
import { ChainRibbon } from './ChainRibbon'
import { useCheck } from './useCheck'
import styles from './check.module.css'

const say = speaks(proofMessages)

/** One page that needs nothing but a file: whether it holds, and what to compare with paper. */
export function CheckPage() {
  const { checked, check, cancel } = useCheck()
  const [over, setOver] = useState(false)
  const drop = (event: DragEvent) => {
    event.preventDefault()
    setOver(false)
    const [file] = event.dataTransfer.files
    if (file) check(file)
  }
  return (
    <main
      className={clsx(styles.page, over && styles.over)}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <Typography variant="h1">{say('title')}</Typography>
      <p>{say('whatItDoes')}</p>
      <div className={styles.take}>
        <FileKey label={say('take')} accept=".proof,.zip" onFile={check}>
          {say('take')}
        </FileKey>
        <span className="muted">{say('orDrop')}</span>
      </div>
      <section className={styles.result} aria-live="polite">
        {checked && <p className={styles.name}>{checked.name}</p>}
        {checked?.state === 'reads' && (
          <div className={styles.reads}>
            <LinearProgress
              variant="determinate"
              value={checked.share * 100}
              aria-label={say('reading', { share: Math.floor(checked.share * 100) })}
            />
            <span>{say('reading', { share: Math.floor(checked.share * 100) })}</span>
            <Key look="outlined" onClick={cancel}>
              {say('cancel')}
            </Key>
          </div>
        )}
        {checked?.state === 'cancelled' && <p>{say('cancelled')}</p>}
        {checked?.state === 'unreadable' && <p className={styles.not}>{checked.why}</p>}
        {checked?.state === 'found' && <Found found={checked.found} />}
      </section>
      <footer className="muted">{say('ofVersion', { version: CORE_VERSION })}</footer>
    </main>
  )
}

function Found({ found }: { found: ProofFound }) {
  const { header, head, faults, cautions } = found
  const reader: Reader = { scale: 'C', zone: header?.zone ?? 'UTC', locale: language, hours: 24, today: null }
  const holds = faults.length === 0
  return (
    <>
      <p className={clsx(styles.verdict, holds ? styles.holds : styles.fails)}>
        {holds ? say('holds') : say('holdsNot')}
      </p>
      {!holds && (
        <ol className={styles.faults}>
          {faults.map((fault, i) => (
            <li key={i}>{proofFaultSentence(fault, reader)}</li>
          ))}
        </ol>
      )}
      {header && (
        <ul>
          {(holds ? proofSentences(found, reader) : proofSentences(found, reader).slice(0, 1)).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      {found.batches.length > 0 && <Batches batches={found.batches} />}
      {cautions.length > 0 && (
        <>
          <Typography variant="h2">{say('known')}</Typography>
          <ul>
            {cautions.map((caution, i) => (
              <li key={i}>{proofCautionSentence(caution, reader)}</li>
            ))}
          </ul>
        </>
      )}
      {holds && head && (
        <section className={styles.paper}>
          <Typography variant="h2">{say('compare')}</Typography>
          <p>{say('compareHow')}</p>
          <dl>
            <dt>{say('key')}</dt>
            <dd className={styles.signs}>{inFours(head.key)}</dd>
            <dt>{say('head', { seq: head.seq })}</dt>
            <dd className={styles.signs}>{inFours(head.hash)}</dd>
          </dl>
          <ChainRibbon hash={head.hash} />
        </section>
      )}
    </>
  )
}

/** As many batches are named: what is not proven comes first. */
const MOST_NAMED = 60
const URGENCY: readonly Standing[] = ['missed', 'unproven', 'open', 'proven']

function Batches({ batches }: { batches: readonly Stood[] }) {
  const sorted = [...batches].sort((a, b) => URGENCY.indexOf(a.standing) - URGENCY.indexOf(b.standing))
  const unproven = sorted.filter(({ standing }) => standing !== 'proven').length
  const named = sorted.slice(0, Math.max(MOST_NAMED, unproven))
  return (
    <ul className={styles.batches}>
      {named.map(({ id, name, code, standing }) => (
        <li key={id}>
          <Badge standing={standing} />
          <span>{say('batchStands', { name, code })}</span>
        </li>
      ))}
      {named.length < sorted.length && <li>{say('andMore', { count: sorted.length - named.length })}</li>}
    </ul>
  )
}
