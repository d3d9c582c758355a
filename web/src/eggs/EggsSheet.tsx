import { useState } from 'react'
import {
  eggOf,
  eggRuleAt,
  isGone,
  toSettle,
  unnamedUses,
  type BatchState,
  type ItemState,
  type LotState,
  type Terms,
} from '@logged-thermal/core'
import { eggRuleSentence, grams, partWord, stepName, type Reader, eggsMessages } from '@logged-thermal/wording'
import { useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { CrackTally } from './CrackTally'
import { EggLedger } from './EggLedger'
import { eggPackage } from './eggPackage'
import { eggLots, type LotOfEgg } from './eggLots'
import { LotKeys } from './LotKeys'
import { PourLot } from './PourLot'
import { ReceiveForm } from '../store/ReceiveForm'
import { SettleLeftOver } from './SettleLeftOver'
import styles from './eggs.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks, spoken } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(eggsMessages)

interface Props {
  batch: BatchState
  open: boolean
  onClose: () => void
  /** To what is kept from before, in the cold store. */
  onKept: () => void
  mayWrite: boolean
  reader: Reader
}

/** The eggs of a batch: which lot, how many good and rejected, what of them is left. */
export function EggsSheet({ batch, open, onClose, onKept, mayWrite, reader }: Props) {
  const entered = useEnteredHere()
  const line = useLine()
  const now = useNow(60_000)
  const steps = stepsWithEggs(batch)
  const due = unnamedUses(batch)[0]?.step ?? steps[0]
  const [step, setStep] = useState<string | null>(null)
  const [lot, setLot] = useState<string | null>(null)
  const [receiving, setReceiving] = useState(false)
  const at = step ?? due
  const uses = batch.terms.eggs.uses.filter((use) => use.step === at)
  const chosen = eggLots(line?.lots ?? []).find((each) => each.lot.id === lot)?.lot ?? null
  const heated = uses.every((use) => use.heated)
  const rule = at === undefined ? batch.terms.eggs.heated : eggRuleAt(batch, at)
  const left = toSettle(batch)
  const parts = uses.map(({ part }) => part)
  const kept = (line?.items ?? []).filter(
    (item) => item.what === 'by-product' && !isGone(item) && parts.some((part) => part === eggOf(item)),
  )
  return (
    <Sheet saved={entered} open={open} onClose={onClose} title={say('eggsOf', { method: batch.method.name })}>
      <div className={styles.eggs}>
        <section aria-label={say('takeEggs')}>
          {steps.length > 1 && (
            <div className={styles.steps} role="group" aria-label={say('atWhichStep')}>
              {steps.map((key) => (
                <Key key={key} look={key === at ? 'primary' : 'outlined'} onClick={() => setStep(key)}>
                  {stepName(batch.method.steps.find((each) => each.key === key)!.kind, reader)}
                </Key>
              ))}
            </div>
          )}
          <p className={styles.wanted}>
            {uses.length
              ? say('methodTakes', {
                  uses: uses.map(({ part, grams: mass }) => `${grams(mass)} ${partWord(part, reader)}`).join(' and '),
                })
              : say('methodTakesNoEgg')}
          </p>
          <p className={styles.rule}>{eggRuleSentence(rule, batch.terms.susceptible, heated, reader)}</p>
          {receiving ? (
            <ReceiveForm
              only="eggs"
              onDone={(id) => {
                setReceiving(false)
                if (id) setLot(id)
              }}
            />
          ) : (
            <LotKeys lots={lotsFor(line?.lots ?? [], uses)} rule={rule} chosen={lot} onChoose={setLot}>
              <Key look="outlined" why={shutUnless(mayWrite)} onClick={() => setReceiving(true)}>
                {say('anotherLot')}
                <small>{say('notOnList')}</small>
              </Key>
              {kept.length > 0 && (
                <Key look="outlined" why={shutUnless(mayWrite)} onClick={onKept}>
                  {say('keptFromBefore')}
                  <small>{kept.length === 1 ? say('oneColdStore') : say('coldStore', { kept: kept.length })}</small>
                </Key>
              )}
            </LotKeys>
          )}
        </section>
        <section aria-label={say('count')}>
          {chosen && at && !receiving && (
            <TakeFrom
              key={`${chosen.id} ${at}`}
              lot={chosen}
              item={line ? eggPackage(line, chosen.id, reader, now).item : null}
              step={at}
              uses={uses}
              batch={batch}
              mayWrite={mayWrite}
              onTaken={() => setLot(null)}
            />
          )}
          {!chosen && !receiving && <Next batch={batch} onClose={onClose} />}
          <EggLedger batch={batch} lots={line?.lots ?? []} />
          {left.map((each) => (
            <SettleLeftOver key={each.part} batch={batch} line={each} mayWrite={mayWrite} />
          ))}
        </section>
      </div>
    </Sheet>
  )
}

function TakeFrom(props: {
  lot: LotOfEgg
  item: ItemState | null
  step: string
  uses: Terms['eggs']['uses']
  batch: BatchState
  mayWrite: boolean
  onTaken: () => void
}) {
  return props.lot.form === 'shell' ? <CrackTally {...props} /> : <PourLot {...props} />
}

/** What is still to be named, or the way back to the pot. */
function Next({ batch, onClose }: { batch: BatchState; onClose: () => void }) {
  const unnamed = unnamedUses(batch)
  if (unnamed.length) {
    const parts = unnamed.map(({ part, grams: mass }) => `${grams(mass)} ${partWord(part, spoken)}`).join(' and ')
    return <p className={styles.wanted}>{say('tapLotFor', { parts })}</p>
  }
  return toSettle(batch).length ? null : (
    <Key look="primary" onClick={onClose}>
      {say('everyLotNamedBack')}
    </Key>
  )
}

/** Steps that take egg; where the method names none, every step at which it could still go in. */
function stepsWithEggs({ terms, method }: BatchState): string[] {
  const named = [...new Set(terms.eggs.uses.map(({ step }) => step))]
  return named.length ? named : method.steps.slice(0, 1).map(({ key }) => key)
}

/** Shell eggs hold every part; a carton holds one. */
function lotsFor(lots: readonly LotState[], uses: Terms['eggs']['uses']): LotOfEgg[] {
  const parts = new Set<string>(uses.map(({ part }) => part))
  return eggLots(lots)
    .filter(({ lot: { form }, part }) => form === 'shell' || parts.size === 0 || parts.has(part))
    .map(({ lot }) => lot)
}
