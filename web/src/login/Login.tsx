import { shellMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { sentenceOf, useLoginQuery, useOpenShiftMutation, type LoginPerson } from '../app/api'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { PinPad } from '../kit/PinPad'
import { NameKeys } from '../kit/NameKeys'
import styles from './login.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** Opens a shift on this tablet, with name and PIN. */
export function Login() {
  const { data: kitchens, error } = useLoginQuery(undefined, { refetchOnMountOrArgChange: true })
  const [chosen, setChosen] = useState<{ kitchen: string; person: LoginPerson } | null>(null)
  const [openShift, { isLoading, error: refused }] = useOpenShiftMutation()
  const device = useAppSelector(({ tablet: { device: id } }) => id)
  const dispatch = useAppDispatch()
  const navigate = useNavigate()

  const open = async (pin: string) => {
    if (!chosen) return
    const result = await openShift({ kitchen: chosen.kitchen, person: chosen.person.id, pin, device })
    if ('error' in result) return
    dispatch(tablet.actions.loggingAs(result.data.shift?.person ?? null))
    void navigate('/')
  }
  return (
    <main className={styles.login}>
      <h1 className="title">{say('whoOpensShift')}</h1>
      <div>
        {error && <p role="alert">{sentenceOf(error)}</p>}
        {kitchens?.map(({ id: kitchen, name, people }) => (
          <section key={kitchen}>
            <h2 className="title">{name}</h2>
            <NameKeys>
              {people.map((person) => (
                <Key
                  key={person.id}
                  look={chosen?.person.id === person.id ? 'primary' : 'plain'}
                  onClick={() => setChosen({ kitchen, person })}
                >
                  {person.name}
                  {person.job !== null && <small>{person.job}</small>}
                </Key>
              ))}
            </NameKeys>
          </section>
        ))}
        <KeyRow>
          <Key look="outlined" onClick={() => void navigate('/sign-in')}>
            {say('signInWithPassword')}
          </Key>
        </KeyRow>
        <p className="muted" style={{ marginTop: 20 }}>
          {say('aidJudgementNotAuthority')}
        </p>
      </div>
      {chosen ? (
        <PinPad
          key={chosen.person.id}
          of={chosen.person}
          busy={isLoading}
          sentence={refused ? sentenceOf(refused) : null}
          onPin={(pin) => void open(pin)}
        />
      ) : (
        <p className="muted">{say('tapYourNameShift')}</p>
      )}
    </main>
  )
}
