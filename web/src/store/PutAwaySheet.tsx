import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  carriedInto,
  isCleared,
  isCold,
  nextItemCode,
  portionOf,
  stepsLeft,
  type BatchState,
  type MeasureUnit,
  type Portioned,
  wallsOf,
} from '@logged-thermal/core'
import {
  dayName,
  daysWord,
  keepWords,
  stepName,
  storeInMessages,
  toolsMessages,
  tracesWords,
} from '@logged-thermal/wording'
import { useEnter, useGoOn } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useMethodOf } from '../app/instructions'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { NumberPad } from '../kit/NumberPad'
import { Sheet } from '../kit/Sheet'
import { limitsOfLine } from './useStore'
import styles from './putAway.module.css'
import { useEnteredHere } from '../app/useEnteredHere'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(storeInMessages)
const toolsSay = speaks(toolsMessages)

const UNITS: MeasureUnit[] = ['portion', 'g', 'ml', 'piece']
const UNIT_WORD: Record<MeasureUnit, string> = {
  portion: say('portions'),
  g: say('grams'),
  ml: say('millilitres'),
  piece: say('pieces'),
}

/** Some of a batch becomes an item: how much, where. Its dates, allergens and code follow. */
export function PutAwaySheet({ batch, now, onClose }: { batch: BatchState; now: number; onClose: () => void }) {
  const enter = useEnter()
  const entered = useEnteredHere()
  const goOn = useGoOn()
  const line = useLine()
  const { reader, open } = useHand(line)
  const method = useMethodOf(batch)
  const limits = limitsOfLine(line, now)
  const [picked, setPicked] = useState<string | null>(null)
  const [shelf, setShelf] = useState(1)
  const [measured, setMeasured] = useState<MeasureUnit>('portion')
  const [as, setAs] = useState<Portioned['as']>('portion')
  const [last, setLast] = useState(true)
  if (!line || !method || !limits) return null
  const cleared = isCleared(batch, reader.zone, now)
  const carried = carriedInto(batch, line.tools, (id) => line.batches.find((each) => each.id === id) ?? null)
  const preview = portionOf(
    batch,
    method,
    { code: '', as, measure: { value: 1, unit: measured }, last: false, unit: null, shelf: null },
    limits,
    reader.zone,
    now,
    carried,
  )
  // Its date clock stops in the frost: only what is proven cold goes there.
  const mayFreeze = cleared && (preview.coldAt !== null || !preview.facts.needsCold)
  const cold = line.units.filter(
    ({ kind }) => isCold(kind) && kind !== 'blast chiller' && (kind !== 'freezer' || mayFreeze),
  )
  const left = stepsLeft(batch)
  const hardens = left.some(({ kind }) => kind === 'freeze')
  const usual = cold.find(({ kind }) => (kind === 'freezer') === hardens) ?? cold[0] ?? null
  const chosen = cold.find(({ id }) => id === picked) ?? usual
  const put = (value: number) => {
    const at = Math.round(now)
    const said = {
      code: nextItemCode(
        batch.code,
        batch.facts.portioned.map(({ value }) => value.code),
      ),
      as,
      measure: { value, unit: measured },
      last: last && cleared,
      unit: chosen?.id ?? null,
      shelf: chosen ? shelf : null,
      ...(chosen?.kind === 'freezer' ? { frozen: true as const } : {}),
    }
    const id = uuid()
    enter('portioned', id, portionOf(batch, method, said, limits, reader.zone, at, carried), { at })
    onClose()
    goOn(`/store/item/${id}`)
  }
  const away = portionsAway(batch)
  const whole = Math.round((method.portions ?? 0) * batch.factor) - away
  const frost = chosen?.kind === 'freezer'
  const [wall] = wallsOf(preview.dating, null, frost ? [{ from: now }] : [], reader.zone)
  const undone = left.filter(({ kind }) => !(frost && kind === 'freeze'))
  return (
    <Sheet
      saved={entered}
      open
      onClose={onClose}
      title={say('putAway', { method: batch.method.name, code: batch.code })}
    >
      <div className={styles.putAway}>
        <section>
          <ChoiceKeys
            name={say('countedIn')}
            options={UNITS}
            chosen={measured}
            words={(each) => UNIT_WORD[each]}
            onChoose={setMeasured}
          />
          {whole > 0 && measured === 'portion' && as === 'portion' && (
            <Key look="primary" why={shutUnless(open)} onClick={() => put(whole)}>
              {say('allPortions', { whole, rest: away > 0 ? 'yes' : 'no' })}
            </Key>
          )}
          <NumberPad
            key={measured}
            name={say('howMuch')}
            unit={measured}
            decimals={measured === 'g' || measured === 'ml' ? 1 : 0}
            take={say('putAway2')}
            disabled={!open}
            onTake={(value) => value > 0 && put(value)}
          />
        </section>
        <section>
          <ChoiceKeys
            name={say('whatItIs')}
            options={['portion', 'trimmings', 'strained residue'] as const}
            chosen={as}
            words={(each) => say(`as_${each}`)}
            onChoose={setAs}
          />
          <h3 className="title">{say('where')}</h3>
          <ChoiceKeys
            name={say('unit')}
            options={cold.map(({ id }) => id)}
            chosen={chosen?.id ?? ''}
            words={(id) => cold.find((each) => each.id === id)?.name ?? ''}
            onChoose={(id) => {
              setPicked(id)
              setShelf(1)
            }}
          />
          {chosen && chosen.shelves > 1 && (
            <ChoiceKeys
              name={say('shelf')}
              options={Array.from({ length: chosen.shelves }, (_, i) => String(i + 1))}
              chosen={String(shelf)}
              words={(each) => say('shelfEach', { each })}
              onChoose={(each) => setShelf(Number(each))}
            />
          )}
          <h3 className="title">{say('moreLeft')}</h3>
          <ChoiceKeys
            name={say('theRest')}
            options={['this is all', 'more is left'] as const}
            chosen={last && cleared ? 'this is all' : 'more is left'}
            words={(each) => (each === 'this is all' ? say('thisIsAllOf') : say('moreLeft2'))}
            onChoose={(each) => setLast(each === 'this is all')}
          />
          {undone.length > 0 && (
            <p>
              {say('notDoneYet', { steps: undone.map(({ kind }) => stepName(kind, reader).toLowerCase()).join(', ') })}
            </p>
          )}
          {frost && wall && <p>{say('dateClockStops', { days: daysWord(wall.daysLeft ?? 0, reader) })}</p>}
          {!cleared && <p>{say('notProvenNotReleased')}</p>}
          {wall?.lastDay && (
            <p>
              {say('binAtEnd')} <strong>{dayName(wall.lastDay, reader)}</strong>:{' '}
              {wall.keep ? keepWords(wall.keep, reader) : wall.ruledBy}.{' '}
              {preview.facts.allergens.length
                ? say('holdsAllergens', { allergens: preview.facts.allergens.join(', ') })
                : ''}
            </p>
          )}
          {preview.facts.mayContain && (
            <p role="status">
              <strong>{toolsSay('mayContain', { traces: tracesWords(preview.facts.mayContain, reader) })}.</strong>
            </p>
          )}
        </section>
      </div>
    </Sheet>
  )
}

/** How many portions of it were put away already. */
function portionsAway({ facts }: BatchState): number {
  return facts.portioned
    .filter(({ void: gone, value: { as, measure } }) => !gone && as === 'portion' && measure.unit === 'portion')
    .reduce((sum, { value }) => sum + value.measure.value, 0)
}
