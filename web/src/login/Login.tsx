import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { Id } from '@logged-thermal/core'
import { sentenceOf, useLoginQuery, useOpenShiftMutation } from '../app/api'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../parts/Key'
import { PinPad } from './PinPad'

/** Opens a shift on this tablet, with name and PIN. */
export function Login() {
  const { data: kitchens, error } = useLoginQuery()
  const [chosen, setChosen] = useState<{ kitchen: Id; person: Id; name: string } | null>(null)
  const [openShift, { isLoading, error: refused }] = useOpenShiftMutation()
  const device = useAppSelector(({ tablet: { device: id } }) => id)
  const dispatch = useAppDispatch()
  const navigate = useNavigate()

  const open = async (pin: string) => {
    if (!chosen) return
    const { kitchen, person } = chosen
    const result = await openShift({ kitchen, person, pin, device })
    if ('error' in result) return
    dispatch(tablet.actions.loggingAs(person))
    void navigate('/')
  }
  return (
    <main className="login">
      <h1 className="title">Who opens the shift?</h1>
      <div>
        {error && <p role="alert">{sentenceOf(error)}</p>}
        {kitchens?.map(({ id: kitchen, name, people }) => (
          <section key={kitchen}>
            <h2 className="title">{name}</h2>
            <div className="names">
              {people.map((person) => (
                <Key
                  key={person.id}
                  look={chosen?.person === person.id ? 'primary' : 'plain'}
                  onClick={() => setChosen({ kitchen, person: person.id, name: person.name })}
                >
                  {person.name}
                  <small>{person.job}</small>
                </Key>
              ))}
            </div>
          </section>
        ))}
        <p className="muted" style={{ marginTop: 20 }}>
          An aid to judgement, not an authority. It says which limits the readings prove; the local code and a qualified
          person decide.
        </p>
      </div>
      {chosen ? (
        <PinPad
          name={chosen.name}
          busy={isLoading}
          sentence={refused ? sentenceOf(refused) : null}
          onPin={(pin) => void open(pin)}
        />
      ) : (
        <p className="muted">Tap your name. A shift is opened with four digits; within it, a name is enough to log.</p>
      )}
    </main>
  )
}
