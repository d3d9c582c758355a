import { useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
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
  newMethod,
  problemsOf,
  readMethodFile,
  type Method,
} from '@logged-thermal/core'
import { claimWord, fieldSentence } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Header } from '../app/Header'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { useAppSelector } from '../app/store'
import { Key } from '../parts/Key'
import { download } from './download'
import { methodMatches } from './finding'
import './methods.css'

/** Every method, found by name, family, ingredient, component or allergen. */
export function MethodsView() {
  const line = useLine()
  const now = useNow(60_000)
  const navigate = useNavigate()
  const enter = useEnter()
  const { person, open } = useHand(line)
  const [wanted, setWanted] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const drafts = useAppSelector((state) => state.drafts)
  const file = useRef<HTMLInputElement>(null)
  if (!line) return null
  const mayWrite = open && (person?.role === 'chef' || person?.role === 'lead')
  const find = (id: string): Method | null => line.methods.find((state) => state.id === id)?.versions.at(-1) ?? null
  const limits = limitsAt(line.limits?.versions ?? [], now)
  const day = dayOf(now, line.kitchen.zone)
  const rows = line.methods
    .map((state) => {
      const method = latestOf(state)
      const faults = limits ? blocking(problemsOf(method, limits, day, find), method).length : 0
      return { state, method, facts: factsOf(method, find), faults, inForce: approvedOf(state)?.version ?? null }
    })
    .filter(({ method, facts }) => methodMatches(method, wanted, facts))
    .sort(
      (a, b) =>
        families[a.method.family].name.localeCompare(families[b.method.family].name) ||
        a.method.name.localeCompare(b.method.name),
    )
  const unapproved = rows.filter(({ method, inForce }) => inForce !== method.version).length

  const create = () => {
    const id = uuid()
    enter('method-saved', id, {
      method: newMethod({ id, vesselId: uuid(), name: 'New method', family: 'poured-custard' }),
    })
    void navigate(`/methods/${id}`)
  }
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
        `${chosen.name} was not taken. ${error.field.replace(/^file\.?/, '')} ${fieldSentence(error.field, error.problem)} Nothing was saved.`,
      )
    }
  }
  return (
    <main className="view">
      <Header>
        <h1>
          <strong>{rows.length === 1 ? 'One method.' : `${rows.length} methods.`}</strong>{' '}
          {unapproved ? `${unapproved} not in force yet.` : 'All in force.'}
        </h1>
      </Header>
      <div className="methods">
        <div className="methods-top">
          <label className="form-field">
            <span className="visually-hidden">Find a method</span>
            <input
              type="search"
              placeholder="Find by name, family, ingredient, part, allergen"
              value={wanted}
              onChange={({ target }) => setWanted(target.value)}
            />
          </label>
          <Key look="primary" disabled={!mayWrite} onClick={create}>
            New method
          </Key>
          <Key onClick={() => download('methods.json', methodFile(rows.map(({ method }) => method)))}>
            Export {rows.length}
          </Key>
          <Key disabled={!mayWrite} onClick={() => file.current?.click()}>
            Import
          </Key>
          <input
            ref={file}
            hidden
            type="file"
            accept="application/json,.json"
            aria-label="Method file"
            onChange={({ target }) => {
              const [chosen] = target.files ?? []
              if (chosen) void take(chosen)
              target.value = ''
            }}
          />
        </div>
        {wrong && (
          <p className="refused" role="alert">
            {wrong}
          </p>
        )}
        <div className="limits-scroll" tabIndex={0} role="region" aria-label="Methods">
          <table className="methods-table">
            <thead>
              <tr>
                <th scope="col">Method</th>
                <th scope="col">Family</th>
                <th scope="col">Allergens</th>
                <th scope="col">Claims</th>
                <th scope="col">Keeps</th>
                <th scope="col">Version</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ method, facts, faults, inForce }) => (
                <tr key={method.id} onClick={() => void navigate(`/methods/${method.id}`)}>
                  <th scope="row">
                    <Link to={`/methods/${method.id}`}>{method.name}</Link>
                  </th>
                  <td>{families[method.family].name}</td>
                  <td>{facts.allergens.join(', ') || 'none'}</td>
                  <td>{facts.claims.map((claim) => claimWord[claim].toLowerCase()).join(', ')}</td>
                  <td>{method.cooling === 'none' ? 'served' : method.raw ? '24 h' : `${method.houseDays} days`}</td>
                  <td>
                    {inForce === method.version ? `${method.version}` : `${method.version}, draft`}
                    {drafts[method.id] && ', changed here'}
                    {faults > 0 && <b> · {faults} to mend</b>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
    </main>
  )
}
