import { useState } from 'react'
import { dayOf, isLooser, limitChanges, limitsAt, type LimitKey, type LimitSet, type Line } from '@logged-thermal/core'
import { countWord, limitsMessages } from '@logged-thermal/wording'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { ChangeSet } from './ChangeSet'
import { CompareSets } from './CompareSets'
import { LimitsTable } from './LimitsTable'
import { LineDetail } from './LineDetail'
import { PracticePanel } from './PracticePanel'
import { SignVersion } from './SignVersion'
import { VersionHistory } from './VersionHistory'
import { Whole } from '../kit/Whole'
import { clsx } from 'clsx'
import styles from './limits.module.css'
import { shutUnless } from '../app/shut'
import { speaks, spoken } from '../kit/language'

const say = speaks(limitsMessages)

type Panel =
  { kind: 'compare' } | { kind: 'line'; key: LimitKey } | { kind: 'history' } | { kind: 'set' } | { kind: 'practice' }

/** The limits in force, each with its source; beside them one batch under two rule sets, or the limit that was tapped. */
export function LimitsView() {
  const now = useNow()
  const line = useLine()
  const { reader, person, open } = useHand(line)
  const [panel, setPanel] = useState<Panel>({ kind: 'compare' })
  const [draft, setDraft] = useState<LimitSet | null>(null)
  const [signing, setSigning] = useState(false)
  const versions = line?.limits?.versions ?? []
  const current = limitsAt(versions, now)
  if (!line?.limits || !current) return <Whole>{say('kitchenNoLimitsYet')}</Whole>

  const shown = draft ?? current
  const today = dayOf(now, line.kitchen.zone)
  const lead = open && person?.role === 'lead'
  const next = (versions.at(-1)?.version ?? 0) + 1
  const change = (set: LimitSet) => setDraft({ ...set, version: next })
  const changeLine = (changed: Line) =>
    change({ ...shown, lines: shown.lines.map((each) => (each.key === changed.key ? changed : each)) })
  const compare = () => setPanel({ kind: 'compare' })
  const chosen = panel.kind === 'line' ? shown.lines.find(({ key }) => key === panel.key) : undefined
  const changes = draft ? limitChanges(current, draft).length : 0
  return (
    <View
      place="limits"
      sentence={
        <>
          <strong>{say('isInForce', { ruleSet: current.ruleSet.name })}</strong> {houseWords(current, today)}
        </>
      }
    >
      <div className={styles.limits}>
        <div className={styles.main}>
          <div className={styles.top}>
            <Key why={shutUnless(true, Boolean(lead))} onClick={() => setPanel({ kind: 'set' })}>
              {shown.ruleSet.name}
            </Key>
            <Key why={shutUnless(true, Boolean(lead))} onClick={() => setPanel({ kind: 'set' })}>
              {shown.unit === 'stricter' ? say('judgedByStricterUnit') : say('judgedIn', { unit: shown.unit })}
            </Key>
            <Key onClick={() => setPanel({ kind: 'practice' })}>{say('housePractice')}</Key>
            <Key look="outlined" onClick={() => setPanel({ kind: 'history' })}>
              {draft
                ? say('draftVersion', { version: draft.version })
                : say('versionVersion', { version: current.version })}
            </Key>
          </div>
          <div className={styles.scroll} tabIndex={0} role="region" aria-label={say('limitsForce')}>
            <LimitsTable
              set={shown}
              reader={reader}
              today={today}
              chosen={panel.kind === 'line' ? panel.key : null}
              onChoose={(key) => setPanel({ kind: 'line', key })}
            />
          </div>
          {draft && changes > 0 ? (
            <div className={styles.draft} role="status">
              <strong>{say('versionNotForceChange', { version: draft.version, changes })}</strong>
              <Key look="primary" onClick={() => setSigning(true)}>
                {say('putForce')}
              </Key>
              <Key look="outlined" onClick={() => setDraft(null)}>
                {say('dropIt')}
              </Key>
            </div>
          ) : (
            <p className={clsx('muted', styles.foot)}>{say('startingPointCheckEach')}</p>
          )}
        </div>
        <aside className={styles.side}>
          {chosen && (
            <LineDetail
              key={chosen.key}
              line={chosen}
              set={shown}
              reader={reader}
              onChange={lead ? changeLine : null}
              onClose={compare}
            />
          )}
          {panel.kind === 'history' && (
            <VersionHistory state={line.limits} people={line.people} reader={reader} now={now} onClose={compare} />
          )}
          {panel.kind === 'practice' && (
            <PracticePanel draft={shown} onChange={lead ? change : null} onClose={compare} />
          )}
          {panel.kind === 'set' && <ChangeSet draft={shown} onChange={change} onClose={compare} />}
          {panel.kind === 'compare' && (
            <CompareSets batches={line.batches} inForce={current} zone={line.kitchen.zone} now={now} reader={reader} />
          )}
        </aside>
      </div>
      {draft && signing && (
        <SignVersion
          current={current}
          draft={draft}
          reader={reader}
          now={now}
          onClose={() => setSigning(false)}
          onSigned={() => {
            setSigning(false)
            setDraft(null)
            compare()
          }}
        />
      )}
    </View>
  )
}

function houseWords(set: LimitSet, today: string): string {
  const looser = set.lines.filter((line) => isLooser(line) && line.variance && today <= line.variance.validUntil).length
  const stricter = set.lines.filter((line) => line.house && !isLooser(line)).length
  if (!stricter && !looser) return say('houseAddsNoLine')
  const said = [
    stricter && say('stricterIn', { count: countWord(stricter, spoken) }),
    looser && say('looserIn', { count: countWord(looser, spoken) }),
  ].filter(Boolean)
  return say('theHouseIs', { said: said.join(', ') })
}
