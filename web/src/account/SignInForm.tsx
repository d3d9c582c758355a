import { accountMessages } from '@logged-thermal/wording'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { fieldOf, sentenceOf } from '../app/api'
import { FormField, judgedBy } from '../kit/FormField'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { useSignInMutation } from './accountApi'
import styles from './account.module.css'

const say = speaks(accountMessages)

const NOTHING = { called: '', password: '', code: '' }

/** Name and password; the code is asked for once the server says that it is wanted. */
export function SignInForm() {
  const navigate = useNavigate()
  const [signIn, { isLoading }] = useSignInMutation()
  const [asksCode, setAsksCode] = useState(false)
  const { control, handleSubmit, setError } = useForm({
    defaultValues: NOTHING,
    resolver: judgedBy<typeof NOTHING>(({ called, password }) => ({
      called: called.trim() === '' ? say('typeName') : null,
      password: password === '' ? say('typePassword') : null,
    })),
  })
  const send = handleSubmit(async ({ called, password, code }) => {
    const result = await signIn({ called: called.trim(), password, ...(code.trim() && { code: code.trim() }) })
    if (!result.error) return
    const field = fieldOf(result.error)
    if (field === 'code') setAsksCode(true)
    setError(field === 'code' || field === 'called' ? field : 'password', { message: sentenceOf(result.error) })
  })
  return (
    <form className={styles.form} onSubmit={(event) => void send(event)}>
      <h1 className="title">{say('signIn')}</h1>
      <p className="muted">{say('forLeads')}</p>
      <FormField control={control} name="called" label={say('called')} max={60} first />
      <FormField control={control} name="password" label={say('password')} max={128} secret="current" />
      {asksCode && <FormField control={control} name="code" label={say('codeOfApp')} max={20} first />}
      <KeyRow>
        <Key look="primary" type="submit" disabled={isLoading}>
          {say('signMeIn')}
        </Key>
        <Key look="outlined" onClick={() => void navigate('/')}>
          {say('backToNames')}
        </Key>
      </KeyRow>
    </form>
  )
}
