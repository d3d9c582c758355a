import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import {
  FAMILY_KEYS,
  families,
  methodOf,
  missingOf,
  type MeasureSystem,
  type Method,
  type PastedRecipe,
} from '@logged-thermal/core'
import { missingSentence, pastedMessages, stepName, type Reader } from '@logged-thermal/wording'
import { Field } from '../../kit/Field'
import { Key } from '../../kit/Key'
import { SelectField } from '../../kit/SelectField'
import { speaks } from '../../kit/language'
import type { PutRight, Settled } from '../../app/begun'
import { PastedRow } from './PastedRow'
import styles from './pasted.module.css'

const say = speaks(pastedMessages)

interface Props {
  read: PastedRecipe
  /** The text that was read. */
  of: string
  /** What was put right of it before somebody was called away. */
  right: PutRight | null
  onRight: (right: PutRight) => void
  measures: MeasureSystem
  reader: Reader
  onDraft: (method: Method) => void
}

/** What was understood of a recipe, line by line, to be put right; a draft of it once nothing is left unread. */
export function Understood({ read, of, right, measures, reader, onRight, onDraft }: Props) {
  const put: PutRight = right?.of === of ? right : { of, lines: {} }
  const { title = read.title, family = read.family } = put
  const materials = read.materials.map((material, i): Settled => {
    const kept = put.lines[i]
    return kept?.line === material.line ? kept : { ...material, own: null, out: false }
  })
  const [opened, setOpened] = useState<number | null>(null)
  const kept = materials.filter(({ out }) => !out)
  const recipe = { ...read, title: title.trim(), family, materials: kept }
  const left = kept.filter(({ ingredient }) => ingredient === null).length
  const why =
    recipe.title === ''
      ? say('nameFirst')
      : kept.length === 0
        ? say('nothingGoesIn')
        : left > 0 && say('settleFirst', { left })
  const draft = () => {
    const method = methodOf(recipe, { id: uuid(), vesselId: uuid(), key: uuid })
    onDraft({ ...method, own: kept.flatMap(({ own }) => own ?? []) })
  }
  return (
    <section className={styles.understood} aria-label={say('whatWasUnderstood')}>
      <Field label={say('name')} value={title} max={80} onValue={(typed) => onRight({ ...put, title: typed })} />
      <SelectField
        label={say('family')}
        options={FAMILY_KEYS.map((key) => ({ value: key, words: families[key].name }))}
        chosen={family}
        onChoose={(chosen) => onRight({ ...put, family: chosen })}
      />
      {missingOf(recipe).map((each) => (
        <p className={styles.missing} role="note" key={JSON.stringify(each)}>
          {missingSentence(each, reader)}
        </p>
      ))}
      <h2 className="title">{say('goesIn', { count: kept.length })}</h2>
      <ul className={styles.rows}>
        {materials.map((material, i) => (
          <PastedRow
            key={`${i} ${material.line}`}
            material={material}
            measures={measures}
            reader={reader}
            open={i === opened}
            onOpen={(open) => setOpened(open ? i : null)}
            onChange={(next) => onRight({ ...put, lines: { ...put.lines, [i]: next } })}
          />
        ))}
      </ul>
      <h2 className="title">{say('theWork')}</h2>
      <ol className={styles.work}>
        {read.steps.map(({ line, kinds }, i) => (
          <li key={`${i} ${line}`}>
            <strong>{kinds.map((kind) => stepName(kind, reader)).join(', ') || say('noStage')}</strong>
            <small>{line}</small>
          </li>
        ))}
      </ol>
      <Key look="primary" why={why} onClick={draft}>
        {say('makeDraft')}
      </Key>
    </section>
  )
}
