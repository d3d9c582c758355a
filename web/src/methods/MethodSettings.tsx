import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { families, FAMILY_KEYS, schedules, type FamilyKey, type Method } from '@logged-thermal/core'
import { Key } from '../parts/Key'
import type { Edit } from './editing'

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
  const number = (text: string) => Number(text.replace(',', '.'))
  const family = families[method.family]
  return (
    <section className="method-form" aria-label="Name, family, keeping">
      <label className="form-field">
        Name
        <input
          value={name}
          maxLength={80}
          onChange={({ target }) => {
            setName(target.value)
            if (target.value.trim()) onEdit({ kind: 'set', fields: { name: target.value.trim() } })
          }}
        />
      </label>
      <div className="field-row">
        <label className="form-field">
          Family
          <select
            value={method.family}
            onChange={({ target }) => onEdit({ kind: 'family', family: target.value as FamilyKey, vesselId: uuid() })}
          >
            {FAMILY_KEYS.map((key) => (
              <option key={key} value={key}>
                {families[key].name}
              </option>
            ))}
          </select>
        </label>
        <label className="form-field">
          Heated by
          <select
            value={method.schedule ?? ''}
            onChange={({ target }) =>
              onEdit({ kind: 'set', fields: { schedule: target.value === '' ? null : target.value } })
            }
          >
            <option value="">the rule set</option>
            {Object.values(schedules).map(({ key, name: called }) => (
              <option key={key} value={key}>
                {called}
              </option>
            ))}
          </select>
        </label>
        <label className="form-field">
          Cools
          <select
            value={method.cooling}
            onChange={({ target }) => onEdit({ kind: 'set', fields: { cooling: target.value as Method['cooling'] } })}
          >
            <option value="stages">after heat, in stages</option>
            <option value="ambient">from room temperature</option>
            <option value="none">not: served at once</option>
            {family.crumb && <option value="dry">kept dry, without cold</option>}
          </select>
        </label>
        <label className="form-field">
          House days
          <input
            type="number"
            min={1}
            max={365}
            value={method.houseDays}
            onChange={({ target }) => {
              const days = Math.round(number(target.value))
              if (days >= 1 && days <= 365) onEdit({ kind: 'set', fields: { houseDays: days } })
            }}
          />
        </label>
        <label className="form-field">
          Vessel
          <input
            value={vessel}
            maxLength={80}
            onChange={({ target }) => {
              setVessel(target.value)
              if (target.value.trim())
                onEdit({ kind: 'set', fields: { vessel: { ...method.vessel, name: target.value.trim() } } })
            }}
          />
        </label>
        <label className="form-field">
          Filled, cm
          <input
            value={depth}
            inputMode="decimal"
            onChange={({ target }) => {
              setDepth(target.value)
              const centimetres = number(target.value)
              if (centimetres >= 0.5 && centimetres <= 200)
                onEdit({
                  kind: 'set',
                  fields: { vessel: { ...method.vessel, fillDepth: Math.round(centimetres * 100) / 1e4 } },
                })
            }}
          />
        </label>
        <label className="form-field">
          Portions
          <input
            type="number"
            min={1}
            value={method.portions ?? ''}
            onChange={({ target }) => {
              const portions = Math.round(number(target.value))
              onEdit({ kind: 'set', fields: { portions: portions >= 1 ? portions : null } })
            }}
          />
        </label>
      </div>
      <label className="check-field">
        <input
          type="checkbox"
          checked={method.raw}
          onChange={({ target }) => onEdit({ kind: 'set', fields: { raw: target.checked } })}
        />
        Holds raw egg that no step heats: hours count, not days
      </label>
      <label className="check-field">
        <input
          type="checkbox"
          checked={method.untreatedFruit}
          onChange={({ target }) => onEdit({ kind: 'set', fields: { untreatedFruit: target.checked } })}
        />
        Untreated frozen fruit is boiled here for a minute
      </label>
      <p className="muted">Guard against: {family.hazard.toLowerCase()}.</p>
      <div className="limits-keys">
        <Key look="outlined" onClick={onClose}>
          Done
        </Key>
      </div>
    </section>
  )
}
