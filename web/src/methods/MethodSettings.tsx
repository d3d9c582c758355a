import { methodFormsMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { families, FAMILY_KEYS, schedules, type FamilyKey, type Method } from '@logged-thermal/core'
import { Field } from '../kit/Field'
import { Key } from '../kit/Key'
import type { Edit } from './editing'
import { SelectField } from '../kit/SelectField'
import { CheckField } from '../kit/CheckField'
import { FieldRow } from '../kit/FieldRow'
import { KeyRow } from '../kit/KeyRow'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodFormsMessages)

/** What holds for the whole method: its name and family, how it is heated, cooled and kept. */
export function MethodSettings({
  method,
  onEdit,
  onClose,
}: {
  method: Method
  onEdit: (edit: Edit) => void
  onClose: () => void
}) {
  const [name, setName] = useState(method.name)
  const [depth, setDepth] = useState(String(Math.round(method.vessel.fillDepth * 1000) / 10))
  const [vessel, setVessel] = useState(method.vessel.name)
  const [days, setDays] = useState(String(method.houseDays))
  const [portions, setPortions] = useState(String(method.portions ?? ''))
  const number = (text: string) => Number(text.replace(',', '.'))
  const family = families[method.family]
  return (
    <section className={styles.methodForm} aria-label={say('nameFamilyKeeping')}>
      <Field
        label={say('name')}
        value={name}
        max={80}
        onValue={(typed) => {
          setName(typed)
          if (typed.trim()) onEdit({ kind: 'set', fields: { name: typed.trim() } })
        }}
      />
      <FieldRow>
        <SelectField
          label={say('family')}
          options={FAMILY_KEYS.map((key) => ({ value: key, words: families[key].name }))}
          chosen={method.family}
          onChoose={(key: FamilyKey) => onEdit({ kind: 'family', family: key, vesselId: uuid() })}
        />
        <SelectField
          label={say('heatedBy')}
          options={[
            { value: '', words: say('ruleSet') },
            ...Object.values(schedules).map(({ key, name: words }) => ({ value: key, words })),
          ]}
          chosen={method.schedule ?? ''}
          onChoose={(key) => onEdit({ kind: 'set', fields: { schedule: key === '' ? null : key } })}
        />
        <SelectField
          label={say('cools')}
          options={COOLINGS.filter(({ value }) => value !== 'dry' || family.crumb)}
          chosen={method.cooling}
          onChoose={(cooling) => onEdit({ kind: 'set', fields: { cooling } })}
        />
        <Field
          label={say('houseDays')}
          mode="numeric"
          value={days}
          onValue={(typed) => {
            setDays(typed)
            if (isDays(typed)) onEdit({ kind: 'set', fields: { houseDays: Number(typed) } })
          }}
          error={isDays(days) ? null : say('wholeDaysFrom1')}
        />
        <Field
          label={say('vessel')}
          value={vessel}
          max={80}
          onValue={(typed) => {
            setVessel(typed)
            if (typed.trim()) onEdit({ kind: 'set', fields: { vessel: { ...method.vessel, name: typed.trim() } } })
          }}
        />
        <Field
          label={say('filledCm')}
          value={depth}
          mode="decimal"
          onValue={(typed) => {
            setDepth(typed)
            const centimetres = number(typed)
            if (centimetres >= 0.5 && centimetres <= 200)
              onEdit({
                kind: 'set',
                fields: { vessel: { ...method.vessel, fillDepth: Math.round(centimetres * 100) / 1e4 } },
              })
          }}
        />
        <Field
          label={say('portions')}
          mode="numeric"
          value={portions}
          onValue={(typed) => {
            setPortions(typed)
            if (isPortions(typed))
              onEdit({ kind: 'set', fields: { portions: typed.trim() === '' ? null : Number(typed) } })
          }}
          error={isPortions(portions) ? null : say('wholeNumberOrNothing')}
        />
      </FieldRow>
      <CheckField
        label={say('holdsRawEggNo')}
        checked={method.raw}
        onCheck={(checked) => onEdit({ kind: 'set', fields: { raw: checked } })}
      />
      <CheckField
        label={say('untreatedFrozenFruitBoiled')}
        checked={method.untreatedFruit}
        onCheck={(checked) => onEdit({ kind: 'set', fields: { untreatedFruit: checked } })}
      />
      <p className="muted">{say('guardAgainst', { hazard: family.hazard.toLowerCase() })}</p>
      <KeyRow>
        <Key look="outlined" onClick={onClose}>
          {say('done')}
        </Key>
      </KeyRow>
    </section>
  )
}

const COOLINGS: { value: Method['cooling']; words: string }[] = [
  { value: 'stages', words: say('afterHeatStages') },
  { value: 'ambient', words: say('fromRoomTemperature') },
  { value: 'none', words: say('notServedAtOnce') },
  { value: 'dry', words: say('keptDryWithoutCold') },
]

function isDays(typed: string): boolean {
  const days = Number(typed)
  return Number.isInteger(days) && days >= 1 && days <= 365
}

function isPortions(typed: string): boolean {
  return typed.trim() === '' || (Number.isInteger(Number(typed)) && Number(typed) >= 1)
}
