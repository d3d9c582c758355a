import { accountMessages } from '@logged-thermal/wording'
import { useNavigate } from 'react-router'
import { sentenceOf } from '../app/api'
import { useAppSelector } from '../app/store'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { NameKeys } from '../kit/NameKeys'
import { speaks } from '../kit/language'
import { roleWord } from '../app/roles'
import { useAccountQuery, useOpenKitchenMutation, useSignOutMutation, type Account } from './accountApi'
import { Codes } from './Codes'
import { SignInForm } from './SignInForm'
import styles from './account.module.css'

const say = speaks(accountMessages)

/** Signing in with a password; then the kitchens that it opens, and what is set for the sign-in itself. */
export function SignInView() {
  const { data } = useAccountQuery()
  if (!data) return null
  return <main className={styles.account}>{data.account ? <SignedIn account={data.account} /> : <SignInForm />}</main>
}

function SignedIn({ account: { name, codes, kitchens } }: { account: Account }) {
  const navigate = useNavigate()
  const device = useAppSelector(({ tablet: { device: id } }) => id)
  const [open, { isLoading, error }] = useOpenKitchenMutation()
  const [signOut] = useSignOutMutation()
  const into = async (kitchen: string) => {
    const result = await open({ kitchen, device })
    // Anew from the ground: nothing of another kitchen is left on the screen.
    if (!result.error) location.assign('/')
  }
  return (
    <>
      <h1 className="title">
        {say('signedInAs', { name })} {kitchens.length > 0 && say('whereTo')}
      </h1>
      {kitchens.length === 0 && <p>{say('worksNowhere')}</p>}
      {error && <p role="alert">{sentenceOf(error)}</p>}
      <NameKeys>
        {kitchens.map(({ id, name: called, role }) => (
          <Key key={id} disabled={isLoading} onClick={() => void into(id)}>
            {called}
            <small>{roleWord(role)}</small>
          </Key>
        ))}
      </NameKeys>
      <Codes on={codes} />
      <KeyRow>
        {kitchens.length > 1 && (
          <Key look="primary" onClick={() => void navigate('/group')}>
            {say('sideBySide')}
          </Key>
        )}
        <Key look="outlined" onClick={() => void signOut()}>
          {say('signOut')}
        </Key>
      </KeyRow>
    </>
  )
}
