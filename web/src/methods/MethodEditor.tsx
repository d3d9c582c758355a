import { Suspense, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import {
  approvedOf,
  blocking,
  canonical,
  heldTo,
  dayOf,
  factsOf,
  limitsAt,
  problemsOf,
  STEP_KINDS,
  type Check,
  type LimitSet,
  type Method,
  type MethodState,
  type StepKind,
} from '@logged-thermal/core'
import { planMessages, stepName, methodsMessages } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { useAppDispatch, useAppSelector } from '../app/store'
import { Key } from '../kit/Key'
import { later, useReadAhead } from '../kit/later'
import { Sheet } from '../kit/Sheet'
import { AmountList } from './AmountList'
import { draftDropped, drafted } from '../app/drafts'
import { edited, type Edit } from './editing'
import { MethodLabel } from './MethodLabel'
import { MethodRibbon } from './MethodRibbon'
import { MethodWays } from './MethodWays'
import { ProblemNote } from './ProblemNote'
import { StepList } from './StepList'
import { Whole } from '../kit/Whole'
import { NameKeys } from '../kit/NameKeys'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)
const planSay = speaks(planMessages)

const StepForm = later(() => import('./StepForm'), 'StepForm')
const AmountForm = later(() => import('./AmountForm'), 'AmountForm')
const MethodSettings = later(() => import('./MethodSettings'), 'MethodSettings')
const VersionDifference = later(() => import('./VersionDifference'), 'VersionDifference')
const SignedForMethod = later(() => import('./SignedForMethod'), 'SignedForMethod')
const ApproveMethod = later(() => import('./ApproveMethod'), 'ApproveMethod')
const NEXT = [StepForm, AmountForm, MethodSettings, VersionDifference, SignedForMethod, ApproveMethod]

/** One method: how it should go as a ribbon, its steps with what is wrong beside each, and what goes in. */
export function MethodEditor() {
  const line = useLine()
  const now = useNow(60_000)
  const { id } = useParams()
  const state = line?.methods.find((each) => each.id === id)
  const limits = limitsAt(line?.limits?.versions ?? [], now)
  if (!line || !limits) return null
  if (!state)
    return (
      <Whole>
        {say('kitchenNoSuchMethod')} <Link to="/methods">{say('allMethods')}</Link>
      </Whole>
    )
  return <Editor key={state.id} state={state} line={line} limits={limits} day={dayOf(now, line.kitchen.zone)} />
}

type Panel =
  { kind: 'contents' } | { kind: 'step'; key: string } | { kind: 'amount'; key: string | null } | { kind: 'settings' }

function Editor({ state, line, limits, day }: { state: MethodState; line: LineData; limits: LimitSet; day: string }) {
  const navigate = useNavigate()
  const enter = useEnter()
  const { reader, person, open } = useHand(line)
  const latest = state.versions.at(-1)!
  const approved = approvedOf(state)
  const dispatch = useAppDispatch()
  useReadAhead(NEXT)
  const draft = useAppSelector(({ drafts }) => drafts[state.id] ?? null)
  const [panel, setPanel] = useState<Panel>({ kind: 'contents' })
  const [sheet, setSheet] = useState<'approve' | 'difference' | 'add' | 'signed' | null>(null)
  const method = draft ?? latest
  const find = (other: string): Method | null =>
    other === method.id ? method : (line.methods.find((each) => each.id === other)?.versions.at(-1) ?? null)
  const problems = problemsOf(method, limits, day, find)
  const stops = blocking(problems, method).length
  const checks = checksOf(method, limits, day)
  const editable = open && (person?.role === 'chef' || person?.role === 'lead')
  const inForce = draft === null && approved?.version === latest.version

  const onEdit = (edit: Edit) => {
    const next = edited(method, edit)
    dispatch(canonical(next) === canonical(latest) ? draftDropped(state.id) : drafted(next))
  }
  const save = () => {
    if (!draft) return
    enter('method-saved', state.id, { method: { ...draft, version: latest.version + 1 } })
    dispatch(draftDropped(state.id))
  }
  const contents = () => setPanel({ kind: 'contents' })
  const step = panel.kind === 'step' ? method.steps.find(({ key }) => key === panel.key) : undefined
  const whole = problems.filter((problem) => problem.step === null)
  return (
    <View
      place="method"
      sentence={
        <>
          <strong>
            {method.name}
            {stops > 0 ? say('oneThingThingsMend', { stops }) : '.'}
          </strong>{' '}
          {draft
            ? draft.version === latest.version
              ? say('notSaved')
              : say('notSavedOnVersion', { version: draft.version, version2: latest.version })
            : inForce
              ? say('versionForce', { version: latest.version })
              : say('draftVersion2', { version: latest.version })}
        </>
      }
      keys={
        <>
          <Key look="outlined" onClick={() => void navigate(`/methods/${state.id}/card`)}>
            {say('card')}
          </Key>
          {approved && (
            <Key look="outlined" onClick={() => void navigate(`/methods/${state.id}/plan`)}>
              {planSay('openPlan')}
            </Key>
          )}
        </>
      }
    >
      <div className={styles.method}>
        <MethodRibbon method={method} checks={checks} problems={problems} reader={reader} />
        <div className={styles.methodColumns}>
          <section className={styles.methodLeft} aria-label={say('steps')}>
            <header>
              <h2 className="title">{say('steps')}</h2>
              {editable && <small>{say('dragByHandleOr')}</small>}
            </header>
            {whole.map((problem) => (
              <ProblemNote
                key={problem.id}
                problem={problem}
                method={method}
                reader={reader}
                editable={editable}
                onEdit={onEdit}
              />
            ))}
            <StepList
              method={method}
              checks={checks}
              problems={problems}
              reader={reader}
              chosen={panel.kind === 'step' ? panel.key : null}
              editable={editable}
              onChoose={(key) => setPanel({ kind: 'step', key })}
              onEdit={onEdit}
            />
          </section>
          <aside className={styles.methodRight}>
            <div className={styles.methodScroll}>
              <Suspense>
                {step && editable && (
                  <StepForm key={step.key} method={method} step={step} onEdit={onEdit} onClose={contents} />
                )}
                {panel.kind === 'amount' && (
                  <AmountForm
                    // Each new one begins with an empty form.
                    key={panel.key ?? `new ${method.amounts.length + method.components.length}`}
                    method={method}
                    others={line.methods.flatMap((each) => (each.id === state.id ? [] : (approvedOf(each) ?? [])))}
                    amountKey={panel.key}
                    measures={limits.practice.measures ?? 'metric'}
                    reader={reader}
                    onEdit={onEdit}
                    onNext={() => setPanel({ kind: 'amount', key: null })}
                    onClose={contents}
                  />
                )}
                {panel.kind === 'settings' && <MethodSettings method={method} onEdit={onEdit} onClose={contents} />}
              </Suspense>
              {(panel.kind === 'contents' || (panel.kind === 'step' && !editable)) && (
                <>
                  <h2 className="title">{say('whatGoes')}</h2>
                  <AmountList
                    method={method}
                    problems={problems}
                    reader={reader}
                    chosen={null}
                    editable={editable}
                    onChoose={(key) => setPanel({ kind: 'amount', key })}
                    onEdit={onEdit}
                  />
                  <MethodLabel method={method} facts={factsOf(method, find)} checks={checks} />
                  <MethodWays method={method} />
                </>
              )}
            </div>
            <div className={styles.methodKeys}>
              {editable && panel.kind === 'contents' && (
                <>
                  <Key onClick={() => setPanel({ kind: 'amount', key: null })}>{say('putSomething')}</Key>
                  <Key onClick={() => setSheet('add')}>{say('addStep2')}</Key>
                  <Key onClick={() => setPanel({ kind: 'settings' })}>{say('nameFamilyKeeping')}</Key>
                </>
              )}
              {approved && editable && !draft && panel.kind === 'contents' && (
                <Key look="outlined" onClick={() => setSheet('signed')}>
                  {say('signedFor')}
                </Key>
              )}
              {state.versions.length > 1 && panel.kind === 'contents' && (
                <Key look="outlined" onClick={() => setSheet('difference')}>
                  {say('whatChanged')}
                </Key>
              )}
              {draft && (
                <>
                  <Key look="primary" onClick={save}>
                    {say('saveAsVersion', { version: latest.version + 1 })}
                  </Key>
                  <Key look="outlined" onClick={() => dispatch(draftDropped(state.id))}>
                    {say('dropChanges')}
                  </Key>
                </>
              )}
              {!draft && !inForce && editable && (
                <Key look={stops ? 'shut' : 'primary'} onClick={() => setSheet('approve')}>
                  {say('putVersionForce', { version: latest.version })}
                </Key>
              )}
            </div>
          </aside>
        </div>
      </div>
      <Sheet open={sheet === 'add'} onClose={() => setSheet(null)} title={say('whichStep')}>
        <NameKeys>
          {STEP_KINDS.map((kind) => (
            <Key
              key={kind}
              onClick={() => {
                onEdit({ kind: 'add step', step: kind, before: placeFor(kind, method) })
                setSheet(null)
              }}
            >
              {stepName(kind, reader)}
            </Key>
          ))}
        </NameKeys>
      </Sheet>
      <Suspense>
        {sheet === 'difference' && (
          <VersionDifference state={state} people={line.people} reader={reader} onClose={() => setSheet(null)} />
        )}
        {sheet === 'signed' && (
          <SignedForMethod state={state} limits={limits} day={day} reader={reader} onClose={() => setSheet(null)} />
        )}
        {sheet === 'approve' && (
          <ApproveMethod
            method={latest}
            limits={limits}
            stops={stops}
            reader={reader}
            problems={blocking(problems, method)}
            onClose={() => setSheet(null)}
          />
        )}
      </Suspense>
    </View>
  )
}

/** A method that is not whole yet may have no checks to resolve: then the ribbon stands without gates. */
function checksOf(method: Method, limits: LimitSet, day: string): Check[] {
  return method.steps.length ? heldTo(method, 1, limits, limits.practice.susceptible, day).checks : []
}

/** A new step goes where its kind comes in the order of the work. */
function placeFor(kind: StepKind, { steps }: Method): string | null {
  const rank = STEP_KINDS.indexOf(kind)
  return steps.find((step) => STEP_KINDS.indexOf(step.kind) > rank)?.key ?? null
}
