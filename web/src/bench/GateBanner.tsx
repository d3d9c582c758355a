import { memo, useEffect, useRef, useState } from 'react'
import { mixtureTrace, type BatchState, type Finding } from '@logged-thermal/core'
import { checkTitle, degrees, type Reader, benchMessages } from '@logged-thermal/wording'
import { Glyph } from '../parts/Glyph'
import styles from './bench.module.css'
import { speaks } from '../kit/language'

const say = speaks(benchMessages)

const SHOWN_MS = 3000

/** The reading that closes a gate fills the header for three seconds: what is to be done next stays in sight below it. */
export const GateBanner = memo(function GateBanner({
  batch,
  findings,
  reader,
}: {
  batch: BatchState
  findings: Finding[]
  reader: Reader
}) {
  const proven = findings
    .filter(({ standing, deciding }) => standing === 'proven' && deciding.length > 0)
    .map(({ check }) => check.key)
  const before = useRef(proven)
  const [shown, setShown] = useState<string | null>(null)
  const key = proven.join(' ')
  useEffect(() => {
    const fresh = key.split(' ').filter((name) => name && name !== 'ceiling' && !before.current.includes(name))
    before.current = key.split(' ')
    if (fresh[0]) setShown(fresh[0])
  }, [key])
  useEffect(() => {
    if (shown === null) return
    const timer = setTimeout(() => setShown(null), SHOWN_MS)
    return () => clearTimeout(timer)
  }, [shown])
  const finding = findings.find(({ check, standing }) => check.key === shown && standing === 'proven')
  const last = mixtureTrace(batch).at(-1)
  if (!finding || !last) return null
  const sense = finding.check.limit.rule.kind === 'hold' ? 'reach' : 'under'
  return (
    <div className={styles.banner} role="status">
      <Glyph standing="proven" size={44} on="glass" />
      <div>
        <strong>{batch.method.name}</strong>
        <span>{say('gatePassed', { check: checkTitle(finding, reader) })}</span>
      </div>
      <span className={styles.temp}>{degrees(last.celsius, reader, sense)}</span>
    </div>
  )
})
