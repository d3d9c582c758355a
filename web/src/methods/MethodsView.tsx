import { Suspense, useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import {
  approvedOf,
  dayOf,
  blocking,
  factsOf,
  families,
  FieldError,
  latestOf,
  limitsAt,
  methodFile,
  planOfMethod,
  problemsOf,
  readMethodFile,
  type LimitSet,
  type Method,
  type MethodState,
  type PlanStanding,
} from '@logged-thermal/core'
import { claimWord, fieldSentence, methodsMessages, oursMessages, planMessages, span } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { useAppSelector } from '../app/store'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import { download } from './download'
import { methodMatches } from '../app/methodMatches'
import { later } from '../kit/later'
import { FileKey } from '../kit/FileKey'
import type { Column } from '../kit/table/column'
import { DataTable } from '../kit/table/DataTable'
import styles from './methods.module.css'
import { speaks, spoken } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(methodsMessages)
const oursSay = speaks(oursMessages)
const planSay = speaks(planMessages)

const OwnList = later(() => import('../ours/OwnList'), 'OwnList')

/** Every method, found by name, family, ingredient, component or allergen. */
export function MethodsView() {
  const line = useLine()
  const now = useNow(60_000)
  const navigate = useNavigate()
  const enter = useEnter()
  const { person, open } = useHand(line)
  const [wanted, setWanted] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const [own, setOwn] = useState(false)
  const drafts = useAppSelector((state) => state.drafts)
  const methods = line?.methods
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  const day = dayOf(now, line?.kitchen.zone ?? 'UTC')
  // Not with each letter that is typed: every method is judged for its problems and its plan.
  const known = useMemo(
    () => (methods ?? []).map((state) => rowOf(state, methods ?? [], limits, day)),
    [methods, limits, day],
  )
  if (!line) return null
  const mayWrite = open && (person?.role === 'chef' || person?.role === 'lead')
  const find = (id: string) => line.methods.find((state) => state.id === id)?.versions.at(-1) ?? null
  const rows = known
    .filter(({ method, facts }) => methodMatches(method, wanted, facts))
    .sort(
      (a, b) =>
        families[a.method.family].name.localeCompare(families[b.method.family].name) ||
        a.method.name.localeCompare(b.method.name),
    )
  const unapproved = rows.filter(({ method, inForce }) => inForce !== method.version).length

  const take = async (chosen: File) => {
    try {
      const methods = readMethodFile(await chosen.text())
      for (const method of methods) {
        const version = (find(method.id)?.version ?? 0) + 1
        enter('method-saved', method.id, { method: { ...method, version } })
      }
      setWrong(null)
    } catch (error) {
      if (!(error instanceof FieldError)) throw error
      setWrong(
        say('notTakenNothingSaved', {
          chosen: chosen.name,
          field: error.field.replace(/^file\.?/, ''),
          fieldSentence: fieldSentence(error.field, error.problem, spoken),
        }),
      )
    }
  }
  return (
    <View
      place="methods"
      sentence={
        <>
          <strong>{rows.length === 1 ? say('oneMethod') : say('methodsRows', { rows: rows.length })}</strong>{' '}
          {unapproved ? say('notForceYet', { unapproved }) : say('allForce')}
        </>
      }
    >
      <div className={styles.methods}>
        <div className={styles.top}>
          <Field
            label={say('findMethod')}
            quietly
            value={wanted}
            mode="search"
            placeholder={say('findByNameFamily')}
            onValue={setWanted}
          />
          <Key look="primary" why={shutUnless(open, mayWrite, 'chef')} onClick={() => void navigate('/methods/new')}>
            {say('newMethod')}
          </Key>
          <Key onClick={() => download('methods.json', methodFile(rows.map(({ method }) => method)))}>
            {say('exportRows', { rows: rows.length })}
          </Key>
          <Key look="outlined" onClick={() => setOwn(true)}>
            {oursSay('ownIngredientsCount', { count: line.ingredients.length })}
          </Key>
          <FileKey
            label={say('methodFile')}
            accept="application/json,.json"
            disabled={!mayWrite}
            onFile={(chosen) => void take(chosen)}
          >
            {say('import')}
          </FileKey>
        </div>
        {wrong && <p role="alert">{wrong}</p>}
        <Suspense>
          {own && <OwnList line={line} mayChange={open && person?.role === 'lead'} onClose={() => setOwn(false)} />}
        </Suspense>
        <DataTable
          caption={say('methods')}
          file="methods.csv"
          columns={columnsOf(drafts)}
          rows={rows}
          rowKey={({ method }) => method.id}
          onOpen={({ method }) => void navigate(`/methods/${method.id}`)}
        />
      </div>
    </View>
  )
}

interface Row {
  state: MethodState
  method: Method
  facts: ReturnType<typeof factsOf>
  faults: number
  inForce: number | null
  plan: PlanStanding | 'none'
}

function rowOf(state: MethodState, methods: readonly MethodState[], limits: LimitSet | null, day: string): Row {
  const find = (id: string) => methods.find((each) => each.id === id)?.versions.at(-1) ?? null
  const method = latestOf(state)
  return {
    state,
    method,
    facts: factsOf(method, find),
    faults: limits ? blocking(problemsOf(method, limits, day, find), method).length : 0,
    inForce: approvedOf(state)?.version ?? null,
    plan: limits ? (planOfMethod(state, methods, limits, day)?.standing ?? 'none') : 'none',
  }
}

function columnsOf(drafts: Readonly<Record<string, unknown>>): Column<Row>[] {
  const column = (key: string, title: string, value: (row: Row) => string): Column<Row> => {
    return { key, title, value, cell: value }
  }
  return [
    {
      key: 'method',
      title: say('method'),
      names: true,
      value: ({ method }) => method.name,
      cell: ({ method }) => <Link to={`/methods/${method.id}`}>{method.name}</Link>,
    },
    column('family', say('family'), ({ method }) => families[method.family].name),
    column('allergens', say('allergens'), ({ facts }) => facts.allergens.join(', ') || say('noAllergen')),
    column('claims', say('claims'), ({ facts }) =>
      facts.claims.map((claim) => claimWord(claim, spoken).toLowerCase()).join(', '),
    ),
    column('keeps', say('keeps'), ({ method }) =>
      method.cooling === 'none'
        ? say('served')
        : method.raw
          ? span(24 * 3_600_000, spoken)
          : say('daysHousedays', { houseDays: method.houseDays }),
    ),
    {
      key: 'version',
      title: say('version'),
      value: ({ method }) => method.version,
      cell: ({ method, faults, inForce }) => (
        <>
          {inForce === method.version ? `${method.version}` : say('draftVersion', { version: method.version })}
          {drafts[method.id] !== undefined && say('changedHere')}
          {faults > 0 && <b> {say('toMend', { faults })}</b>}
        </>
      ),
    },
    {
      key: 'plan',
      title: planSay('plan'),
      value: ({ plan }) => planSay(`plan_${plan}`),
      cell: ({ method, plan }) =>
        plan === 'none' ? null : <Link to={`/methods/${method.id}/plan`}>{planSay(`plan_${plan}`)}</Link>,
    },
  ]
}
