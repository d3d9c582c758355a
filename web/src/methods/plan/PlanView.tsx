import { useState } from 'react'
import { useParams } from 'react-router'
import {
  dayOf,
  heldTo,
  limitsAt,
  partsOf,
  planFile,
  planOfMethod,
  type LimitSet,
  type PlanInForce,
} from '@logged-thermal/core'
import {
  clock,
  dayName,
  leftOutWords,
  planMessages,
  planRules,
  productWords,
  type Reader,
} from '@logged-thermal/wording'
import { useHand, useLine } from '../../app/kitchen'
import type { LineData } from '../../app/lineData'
import { useNow } from '../../app/now'
import { recordsFor } from '../../parts/recordsFor'
import { Key } from '../../kit/Key'
import { PrintedPage } from '../../kit/PrintedPage'
import { Whole } from '../../kit/Whole'
import { speaks } from '../../kit/language'
import { download } from '../download'
import { PlanRibbon } from './PlanRibbon'
import { PlanTable } from './PlanTable'
import { SignPlan } from './SignPlan'
import styles from './plan.module.css'

const say = speaks(planMessages)

/** The written plan of a method as an inspector reads it: made from what is in force, signed by the lead. */
export function PlanView() {
  const line = useLine()
  const now = useNow(60_000)
  const { id } = useParams()
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  const state = line?.methods.find((each) => each.id === id)
  if (!line || !limits) return null
  const day = dayOf(now, line.kitchen.zone)
  const made = state && planOfMethod(state, line.methods, limits, day)
  if (!made) return <Whole>{say('notInForce')}</Whole>
  return <Plan made={made} line={line} limits={limits} day={day} />
}

function Plan({ made, line, limits, day }: { made: PlanInForce; line: LineData; limits: LimitSet; day: string }) {
  const { method, plan, signed, standing } = made
  const { reader, person, open } = useHand(line)
  const [signing, setSigning] = useState(false)
  const state = line.methods.find((each) => each.id === method.id)!
  const { checks } = heldTo(method, 1, limits, plan.practice.susceptible, day, state.signed)
  const by = (id: string) => line.people.find((each) => each.id === id)?.name ?? id
  const signs = open && person?.role === 'lead' && standing !== 'signed'
  const version = standing === 'signed' ? signed!.version : (signed?.version ?? 0) + 1
  const file = () => {
    const under = signed && {
      version: signed.version,
      by: by(signed.by),
      at: new Date(signed.at).toISOString(),
      entry: signed.seq,
      note: signed.note,
      outOfDate: standing === 'outdated',
    }
    download('written-plan.json', planFile(line.kitchen.name, [{ plan, signed: under }]))
  }
  const left = plan.steps.flatMap((step, i) => leftOutWords(step, i + 1, reader) ?? [])
  return (
    <PrintedPage
      className={styles.plan}
      label={say('planOf', { method: method.name })}
      back={{ to: `/methods/${method.id}`, words: say('backMethod') }}
      print={say('print')}
      keys={
        <>
          {signs && (
            <Key look="primary" onClick={() => setSigning(true)}>
              {signed ? say('signAnew') : say('signPlan')}
            </Key>
          )}
          <Key look="outlined" target="_blank" href={`/api/records/plan/${method.id}.pdf?${recordsFor(reader)}`}>
            {say('asPdf')}
          </Key>
          <Key onClick={file}>{say('asFile')}</Key>
        </>
      }
    >
      {standing === 'outdated' && (
        <svg className={styles.across} viewBox="0 0 700 420" aria-hidden>
          <text x="350" y="240" textAnchor="middle" transform="rotate(-24 350 210)">
            {say('outOfDate')}
          </text>
        </svg>
      )}
      <header className={styles.head}>
        <div>
          <h1>{method.name}</h1>
          <p>
            {say('titlePlan', { version: standing === 'signed' ? version : 'none' })}
            {standing === 'outdated' && <b className={styles.outdated}>{say('outOfDate')}</b>}
          </p>
        </div>
        <p>
          {line.kitchen.name}
          {line.kitchen.address && <>, {line.kitchen.address}</>}
          <br />
          {say('methodVersion', { version: method.version })}
          <br />
          {planRules(plan, reader)}
        </p>
      </header>
      <Product made={made} reader={reader} />
      <PlanRibbon method={method} checks={checks} reader={reader} />
      <PlanTable plan={plan} reader={reader} />
      {left.length > 0 && (
        <section>
          <h2>{say('leftOut')}</h2>
          <p>{left.join(' ')}</p>
        </section>
      )}
      {signed?.note && (
        <section>
          <h2>{say('noteByLead')}</h2>
          <p className={styles.note}>{signed.note}</p>
        </section>
      )}
      <div className={styles.signature}>
        <p>
          {signed ? (
            <>
              {say('signedBy', { name: by(signed.by) })}
              <br />
              {say('signedAt', {
                day: dayName(dayOf(signed.at, reader.zone), reader),
                time: clock(signed.at, reader),
                entry: signed.seq === null ? 'none' : String(signed.seq),
              })}
            </>
          ) : (
            say('notSigned')
          )}
        </p>
        <p>
          {standing === 'outdated' ? <Outdated made={made} /> : say('inForce')}
          {plan.recordMonths !== null && <> {say('keptMonths', { months: plan.recordMonths })}</>}
        </p>
      </div>
      <footer>{say('aid')}</footer>
      {signing && (
        <SignPlan
          method={method}
          body={{
            version: (signed?.version ?? 0) + 1,
            limits: limits.id,
            parts: partsOf(method, line.methods),
            basis: plan.basis,
            note: signed?.note ?? '',
          }}
          onClose={() => setSigning(false)}
        />
      )}
    </PrintedPage>
  )
}

/** What it is, for whom, what is in it and how it is kept. */
function Product({ made: { plan }, reader }: { made: PlanInForce; reader: Reader }) {
  return (
    <dl className={styles.product}>
      {productWords(plan, reader).map(({ title, words }) => (
        <div key={title}>
          <dt>{title}</dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  )
}

/** What the signed plan was made from, and what is in force instead. */
function Outdated({ made: { signed, plan } }: { made: PlanInForce }) {
  const [before, now] = [signed!.basis, plan.basis]
  const said = ({ method, limits }: typeof before) => say('ofVersions', { method, limits })
  return before.method === now.method && before.limits === now.limits
    ? say('otherThan', { version: signed!.version })
    : say('outOfDateSince', { version: signed!.version, before: said(before), now: said(now) })
}
