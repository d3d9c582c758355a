import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { dayOf, isClosing, itemLeft, startOfDay } from '@logged-thermal/core'
import { asksWord, clock, itemSentence, measureWords, type Reader, storeRoundMessages } from '@logged-thermal/wording'
import { useDiscardedQuery } from '../app/api'
import { useEnter } from '../app/enter'
import { View } from '../app/View'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import { DiscardTable } from './DiscardTable'
import { numberIn } from './numberIn'
import { StoreNav } from './StoreNav'
import { discardOf, limitsOfLine, useStored, whereIs, type StoredItem } from './useStore'
import { SelectField } from '../kit/SelectField'
import { clsx } from 'clsx'
import binStyles from './bin.module.css'
import itemStyles from './item.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(storeRoundMessages)

/** What goes today, one tap each; what ends at midnight; what has no date. Totals by reason, with weight and cost. */
export function BinRound() {
  const now = useNow()
  const line = useLine()
  const { reader, open } = useHand(line)
  const stored = useStored(line)
  const [finding, setFinding] = useState(false)
  const limits = limitsOfLine(line, now)
  if (!line || !limits) return null
  const goes = stored.filter(({ standing: { asks } }) => asks === 'discard')
  const tonight = stored.filter(({ standing: { asks } }) => asks === 'use today')
  const asked = stored.filter(({ standing: { asks } }) => ['lead decides', 'held', 'read it'].includes(asks))
  const closing = isClosing(limits.practice, reader.zone, now)
  return (
    <View
      place="bin"
      spoken
      sentence={
        <>
          {goes.length ? (
            <>
              <strong className="urgent">{say('oneThingGoesThings', { goes: goes.length })}</strong>{' '}
              {tonight.length ? say('moreAtMidnight', { tonight: tonight.length }) : ''}
            </>
          ) : (
            <>
              <strong>{say('nothingGoNow')}</strong>{' '}
              {tonight.length ? say('oneEndsEndAt', { tonight: tonight.length }) : say('nothingEndsTonight')}
            </>
          )}
        </>
      }
    >
      <div className={binStyles.bin}>
        <StoreNav />
        <div className={binStyles.columns}>
          <div className={binStyles.lists} tabIndex={0} role="region" aria-label={say('binRound')}>
            <BinList title={say('goesNow')} all={goes} units={line.units} reader={reader} open={open} />
            <BinList
              title={
                closing ? say('endsAtMidnightUse') : say('endsAtMidnightShown', { closing: limits.practice.closing })
              }
              all={tonight}
              units={line.units}
              reader={reader}
              open={open}
              quiet
            />
            <BinList
              title={say('waitsForReadingOr')}
              all={asked}
              units={line.units}
              reader={reader}
              open={open}
              quiet
            />
          </div>
          <aside>
            <Key why={shutUnless(open)} onClick={() => setFinding(true)}>
              {say('foundSomethingWithoutDate')}
            </Key>
            <Totals now={now} reader={reader} seq={line.seq} />
          </aside>
        </div>
      </div>
      {finding && <Find onClose={() => setFinding(false)} />}
    </View>
  )
}

function BinList({
  title,
  all,
  units,
  reader,
  open,
  quiet = false,
}: {
  title: string
  all: readonly StoredItem[]
  units: Parameters<typeof whereIs>[1]
  reader: Reader
  open: boolean
  quiet?: boolean
}) {
  const enter = useEnter()
  if (all.length === 0) return null
  return (
    <section aria-label={title}>
      <h2 className={clsx('title', itemStyles.head)}>{title}</h2>
      <ul>
        {all.map((one) => (
          <li key={one.item.id} className={binStyles.row} data-item={one.item.code}>
            <span>
              <strong>{one.item.name}</strong>
              <small>
                {one.item.code} · {whereIs(one.item, units)}
              </small>
            </span>
            <span className={binStyles.amount}>{measureWords(itemLeft(one.item), reader)}</span>
            <span className={binStyles.why}>
              <strong>{asksWord(one.standing.asks, reader)}</strong> {itemSentence(one.item, one.standing, reader)}
            </span>
            <Key
              look={quiet ? 'outlined' : 'primary'}
              aria-label={say('binIt', { item: one.item.name, code: one.item.code })}
              why={shutUnless(open)}
              onClick={() => enter('item-discarded', one.item.id, discardOf(one, itemLeft(one.item)))}
            >
              {say('binIt2')}
            </Key>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was thrown away today, by reason. */
function Totals({ now, reader, seq }: { now: number; reader: Reader; seq: number }) {
  const from = startOfDay(dayOf(now, reader.zone), reader.zone)
  const { data } = useDiscardedQuery({ from, to: from + 26 * 3_600_000, seq })
  const totals = data?.totals ?? []
  return (
    <section aria-label={say('thrownAwayToday')}>
      <h2 className={clsx('title', itemStyles.head)}>
        {say('thrownAwayToday')} <small>{say('toTime', { time: clock(now, reader) })}</small>
      </h2>
      <DiscardTable totals={totals} reader={reader} />
      <p className="muted">{say('weightCostAsFar')}</p>
    </section>
  )
}

const FOUND = { name: '', grams: '' }

/** A tub nobody knows: it is entered, and goes. */
function Find({ onClose }: { onClose: () => void }) {
  const enter = useEnter()
  const line = useLine()
  const [unit, setUnit] = useState(line?.units[0]?.id ?? '')
  const { control, handleSubmit } = useForm({
    defaultValues: FOUND,
    resolver: judgedBy<typeof FOUND>(({ name, grams }) => ({
      name: name.trim() === '' ? say('sayWhatLooksLike') : null,
      grams: (numberIn(grams) ?? 0) > 0 ? null : say('howMuchGramsDigits'),
    })),
  })
  const number = (line?.items ?? []).filter(({ what }) => what === 'find').length + 1
  const save = handleSubmit(({ name, grams }) => {
    enter('item-found', uuid(), {
      code: `F-${number}-${uuid().slice(-3)}`,
      name: name.trim(),
      measure: { value: numberIn(grams)!, unit: 'g' },
      unit: unit || null,
      shelf: unit ? 1 : null,
    })
    onClose()
  })
  return (
    <Sheet open onClose={onClose} title={say('somethingWithoutDate')}>
      <div className={binStyles.find}>
        <p>{say('whatNoLabelNo')}</p>
        <FormField control={control} name="name" label={say('whatLooksLike')} max={80} />
        <FormField control={control} name="grams" label={say('howMuchG')} mode="decimal" />
        <SelectField
          label={say('whereItWas')}
          options={(line?.units ?? []).map(({ id, name: words }) => ({ value: id, words }))}
          chosen={unit}
          onChoose={setUnit}
        />
        <Key look="primary" onClick={() => void save()}>
          {say('enterIt')}
        </Key>
      </div>
    </Sheet>
  )
}
